// The run in space: to be turned by mouse, touch and keys. Loaded when it is first asked for.
import { Canvas } from "@react-three/fiber";
import { useEffect, useMemo, useRef, useState } from "react";
import { DoubleSide, Matrix4, Quaternion, Vector3 } from "three";
import { type Plan, troubledBends } from "@/model/document";
import { useLastPlan, usePlanner } from "@/state/PlannerContext";
import { say } from "@/words/say";
import { extent, type Solid, solids, surface, tubes } from "./scene";
import { Turning } from "./Turning";

const TOKENS = ["soft", "arc", "accent", "brick", "amber", "line", "strong-line", "paper"] as const;
type Colours = Readonly<Record<(typeof TOKENS)[number], string>>;

export default function Space() {
  const plan = useLastPlan();
  const frame = useRef<HTMLElement>(null);
  const colours = useColours();
  useEffect(() => {
    const canvas = frame.current?.querySelector("canvas");
    canvas?.setAttribute("tabindex", "0");
    canvas?.setAttribute("role", "img");
    canvas?.setAttribute(
      "aria-label",
      say("The run in space. Arrow keys turn it, plus and minus zoom."),
    );
  });
  if (!plan || plan.path.length < 2) {
    return null;
  }
  return (
    <figure ref={frame} data-space className="absolute inset-0 m-0">
      <Canvas frameloop="demand" dpr={[1, 2]} camera={{ fov: 32 }} aria-hidden={false}>
        <Scene plan={plan} colours={colours} />
      </Canvas>
      <figcaption className="pointer-events-none absolute bottom-2 left-4 text-sm text-soft">
        {say(
          "Drag to turn, pinch or scroll to come closer. Keys: arrows, + and −, 0 for all of it.",
        )}
      </figcaption>
    </figure>
  );
}

function Scene({ plan, colours }: { plan: Plan; colours: Colours }) {
  const selected = usePlanner((state) => state.selected);
  const pointed = usePlanner((state) => state.pointed);
  const select = usePlanner((state) => state.select);
  const pieces = useMemo(() => tubes(plan), [plan]);
  const things = useMemo(() => solids(plan), [plan]);
  const { centre, reach } = useMemo(() => extent(plan), [plan]);
  const troubled = useMemo(() => troubledBends(plan), [plan]);
  useEffect(
    () => () => {
      for (const { geometry } of pieces) {
        geometry.dispose();
      }
    },
    [pieces],
  );

  const tone = (bend: number | null) => {
    if (bend === null) {
      return colours.arc;
    }
    if (bend === pointed || plan.bends[bend]?.feature === selected) {
      return colours.accent;
    }
    const trouble = troubled.get(bend);
    return trouble === "error" ? colours.brick : trouble ? colours.amber : colours.soft;
  };
  return (
    <>
      <hemisphereLight args={["#ffffff", "#8a949c", 2.2]} />
      <directionalLight position={[1, 2, 1.5]} intensity={1.6} />
      {pieces.map(({ key, bend, geometry }) => (
        // biome-ignore lint/a11y/noStaticElementInteractions: a solid in the picture; the walk has the keys
        <mesh
          key={key}
          geometry={geometry}
          onClick={() => select(bend === null ? null : (plan.bends[bend]?.feature ?? null))}
        >
          <meshStandardMaterial color={tone(bend)} roughness={0.55} />
        </mesh>
      ))}
      {things.map((thing) => (
        <Thing
          key={thing.key}
          thing={thing}
          colour={
            thing.feature !== null && thing.feature === selected
              ? colours.accent
              : colours["strong-line"]
          }
        />
      ))}
      <Surface plan={plan} colour={colours.line} />
      <Turning centre={centre} reach={reach} />
    </>
  );
}

/** The surface that the first leg runs on, so that the eye knows which way is out. */
function Surface({ plan, colour }: { plan: Plan; colour: string }) {
  const { centre, size } = useMemo(() => surface(plan), [plan]);
  return (
    <mesh position={centre} rotation={[-Math.PI / 2, 0, 0]}>
      <planeGeometry args={[...size]} />
      <meshBasicMaterial color={colour} transparent opacity={0.4} side={DoubleSide} />
    </mesh>
  );
}

function Thing({ thing, colour }: { thing: Solid; colour: string }) {
  const [along, high, across] = thing.size;
  const turned = useMemo(() => facing(thing.ahead, thing.toward), [thing]);
  const lying = Math.PI / 2;
  return (
    <group position={thing.centre} quaternion={turned}>
      {thing.kind === "round" ? (
        <mesh rotation={[lying, 0, 0]}>
          <cylinderGeometry args={[along / 2, along / 2, across, 28]} />
          <meshStandardMaterial color={colour} roughness={0.9} transparent opacity={0.75} />
        </mesh>
      ) : thing.kind === "hole" ? (
        <mesh rotation={[0, lying, 0]}>
          <torusGeometry args={[high * 0.75, high * 0.18, 12, 28]} />
          <meshStandardMaterial color={colour} roughness={0.9} />
        </mesh>
      ) : (
        <mesh>
          <boxGeometry args={[along, high, across]} />
          <meshStandardMaterial color={colour} roughness={0.9} transparent opacity={0.6} />
        </mesh>
      )}
    </group>
  );
}

/** The turn that lays x along the leg and y toward the pipe's side. */
function facing(ahead: Vector3, toward: Vector3): Quaternion {
  const across = new Vector3().crossVectors(ahead, toward);
  return new Quaternion().setFromRotationMatrix(new Matrix4().makeBasis(ahead, toward, across));
}

/** The page's own colours, light or dark, read from its tokens. */
function useColours(): Colours {
  const [theme, setTheme] = useState(() => document.documentElement.dataset.theme ?? "");
  useEffect(() => {
    const watcher = new MutationObserver(() =>
      setTheme(document.documentElement.dataset.theme ?? ""),
    );
    watcher.observe(document.documentElement, { attributes: true });
    return () => watcher.disconnect();
  }, []);
  return useMemo(() => {
    const style = getComputedStyle(document.documentElement);
    const read = (token: string) => [token, style.getPropertyValue(`--${token}`).trim()];
    // Read again when the theme is another.
    return Object.fromEntries(theme === undefined ? [] : TOKENS.map(read)) as Colours;
  }, [theme]);
}
