// One bend in the bender, from where the person stands: the tool drawn from its own numbers, the
// pipe at its thickness with its mark and its bends, before and after, over the floor. What is drawn
// is worked out by the core; here it gets its place, its line and its colour.

import { useId } from "react";
import type { BendHandling } from "@/api/planning";
import { point3 } from "@/geometry/centreline";
import { stillToTurn } from "@/geometry/turning";
import { bounds, fitInto, type Placed, type Point2, polyline, type Room } from "@/geometry/views";
import type { Plan } from "@/model/document";
import { useRunDown } from "@/ui/useRunDown";
import { say } from "@/words/say";
import { beside, DrawnLine } from "./besideBender";

type Size = { readonly width: number; readonly height: number };
type Shape = BendHandling["tool"][number];

const MARGIN = 16;
/** Where there is so much room, the mark's name is left some beside the pipe. */
const WIDE = 480;
const BESIDE = 150;
/** The shoe's radius is drawn no smaller; a long piece then leaves the frame. */
const LEAST_RADIUS = 25;
const LABEL = 14;
/** A letter of a label is about so wide. */
const LETTER = 7.8;
/** How far a label stands off what it names. */
const ASIDE = 26;

/** The tool itself lies in the plane of the bend. */
const inPlane = ([x, y]: readonly number[]): Point2 => [x ?? 0, -(y ?? 0)];

const LOOKS: Readonly<Record<Shape["role"], string>> = {
  shoe: "fill-tool stroke-ink",
  web: "fill-raised stroke-ink",
  handle: "fill-pipe stroke-strong-line",
  frame: "fill-tool-frame stroke-strong-line",
  guide: "fill-tool-frame stroke-strong-line",
  hook: "fill-none stroke-ink",
  degree: "fill-none stroke-soft",
  mark: "fill-none stroke-soft",
  used: "fill-none stroke-accent",
  pencil: "fill-none stroke-ink",
};
const OVER = new Set<Shape["role"]>(["hook", "mark", "used", "pencil"]);

/** What of a plan the tool and the pipe are drawn by. */
type Drawn = Pick<Plan, "conduit" | "bender">;
type Props = { bend: BendHandling; plan: Drawn; mark: string | undefined; size: Size };

export function InBender({ bend, plan, mark, size }: Props) {
  const frame = useId();
  const thickness = plan.conduit.diameter;
  const after = bend.after.map(point3).map(beside);
  const tool = bend.tool.flatMap(({ points }) => points.map(inPlane));
  const floor = -bend.floor;
  const placed = framed([...after, ...tool], floor, plan, size);
  const pipe = thickness * placed.scale;
  const struck = bend.meets.map(({ what }) => what).join(say(" and the "));
  const meets = (what: string) => bend.meets.some((each) => each.what === what);
  const label = say("Bend {bend} in the bender, hook to the right{struck}", {
    bend: bend.bend + 1,
    struck: struck ? say("; it meets the {struck}", { struck }) : "",
  });
  const [left, floorY] = placed.place([0, floor]);
  const [, lower] = placed.place([0, floor + bend.drop]);
  const bench = bend.bench.map(point3).map(beside);
  return (
    <svg
      viewBox={`0 0 ${size.width} ${size.height}`}
      className="w-full rounded border border-line bg-canvas"
      role="img"
      aria-label={label}
    >
      <clipPath id={frame}>
        <rect width={size.width} height={size.height} />
      </clipPath>
      <g clipPath={`url(#${frame})`} strokeLinejoin="round">
        <polyline
          points={
            bend.drop > 0
              ? `0,${floorY} ${left},${floorY} ${left},${lower} ${size.width},${lower}`
              : `0,${floorY} ${size.width},${floorY}`
          }
          fill="none"
          className={meets("floor") ? "stroke-amber" : "stroke-strong-line"}
          strokeWidth="1.5"
        />
        {bench.length > 0 ? (
          <DrawnLine
            points={bench}
            placed={placed}
            width={3}
            className={meets("bench") ? "stroke-amber" : "stroke-strong-line"}
          />
        ) : null}
        <TurnedIn bend={bend} placed={placed} />
        <Tool shapes={bend.tool.filter(({ role }) => !OVER.has(role))} placed={placed} />
        <DrawnLine points={after} placed={placed} width={pipe + 2} className="stroke-ink" />
        <DrawnLine
          points={after}
          placed={placed}
          width={Math.max(pipe, 1.5)}
          className="stroke-pipe"
        />
        {bend.bands.map((band) => (
          <DrawnLine
            key={band[0]?.join()}
            points={band.map(point3).map(beside)}
            placed={placed}
            width={Math.max(pipe, 1.5)}
            className="stroke-arc"
          />
        ))}
        <Tool shapes={bend.tool.filter(({ role }) => OVER.has(role))} placed={placed} />
        <Ends points={after} placed={placed} size={size} hook={bend.hook} />
        {mark ? (
          <MarkLabel bend={bend} text={mark} placed={placed} size={size} thick={pipe} />
        ) : null}
      </g>
    </svg>
  );
}

/** The piece as it is put in for this bend: it turns to there from how it lay after the last one. */
function TurnedIn({ bend, placed }: { bend: BendHandling; placed: Placed }) {
  const left = useRunDown(bend.turned, bend.bend);
  const points = bend.before.map((at) => stillToTurn(point3(at), left, bend.hook)).map(beside);
  return (
    <DrawnLine
      points={points}
      placed={placed}
      width={left === 0 ? 1.25 : 2.5}
      className="stroke-arc"
      dash="4 4"
    />
  );
}

function Tool({ shapes, placed }: { shapes: readonly Shape[]; placed: Placed }) {
  return shapes.map((shape) => {
    const key = `${shape.role} ${shape.points[0]?.join()} ${shape.text}`;
    const points = shape.points.map(inPlane);
    if (shape.role === "degree" && shape.text) {
      const [x, y] = placed.place(points[0] ?? [0, 0]);
      const size = placed.scale * 0.55;
      return size < 7 ? null : (
        <text
          key={key}
          x={x}
          y={y + size / 3}
          textAnchor="middle"
          fontSize={Math.min(size, 12)}
          className="fill-soft"
        >
          {shape.text}
        </text>
      );
    }
    const width = shape.role === "hook" ? 4 : shape.role === "used" ? 2.5 : 1.1;
    const shared = {
      points: polyline(points, placed.place),
      className: LOOKS[shape.role],
      strokeWidth: width,
      strokeDasharray: shape.role === "pencil" ? "7 3" : undefined,
    };
    return shape.closed ? <polygon key={key} {...shared} /> : <polyline key={key} {...shared} />;
  });
}

/** What the mark is put on and its figure, with a line to it. */
function MarkLabel({
  bend,
  text,
  placed,
  size,
  thick,
}: {
  bend: BendHandling;
  text: string;
  placed: Placed;
  size: Size;
  /** Of the pipe, as it is drawn. */
  thick: number;
}) {
  const used = bend.tool.find(({ role }) => role === "used");
  const [from, to] = used ? used.points.map(inPlane).map(placed.place) : [];
  if (!used || !from || !to) {
    return null;
  }
  const words = say("{used} on {text}", { used: used.text, text });
  const wide = words.length * LETTER;
  const right = from[0] + ASIDE + wide < size.width;
  const x = right ? from[0] + ASIDE : Math.max(from[0] - ASIDE, wide);
  const drop = bend.place === "air" ? -ASIDE : right ? -LABEL / 2 : ASIDE;
  // Beside the tail that lies it goes under that, not across it.
  const [, tail] = placed.place([0, 0]);
  const under = bend.place === "air" || right ? LABEL : tail + thick / 2 + LABEL + 4;
  const y = Math.min(Math.max(from[1] + drop, under), size.height - 6);
  return (
    <>
      <polyline
        points={`${from.join(",")} ${right ? x - 4 : x + 4},${y - 4}`}
        fill="none"
        className="stroke-accent"
        strokeWidth="1.25"
      />
      <text
        x={x}
        y={y}
        textAnchor={right ? "start" : "end"}
        className="fill-accent text-sm font-semibold [paint-order:stroke] stroke-canvas"
        strokeWidth="4"
      >
        {words}
      </text>
    </>
  );
}

/** The names of both ends, where they are in the frame; else the way to them. */
function Ends({
  points,
  placed,
  size,
  hook,
}: {
  points: readonly Point2[];
  placed: Placed;
  size: Size;
  hook: string;
}) {
  const [first, last] = [points[0], points.at(-1)].map((point) => placed.place(point ?? [0, 0]));
  const named = [
    { name: "start", at: first, right: hook === "start" },
    { name: "end", at: last, right: hook === "end" },
  ];
  return named.map(({ name, at, right }) => {
    const [x, y] = at ?? [0, 0];
    const inside = x > 0 && x < size.width && y > 0 && y < size.height;
    const placeX = inside ? x : right ? size.width - 6 : 6;
    const placeY = Math.min(Math.max(y - 10, LABEL), size.height - 8);
    return (
      <text
        key={name}
        x={placeX}
        y={placeY}
        textAnchor={right ? "end" : "start"}
        className="fill-ink text-xs font-semibold [paint-order:stroke] stroke-canvas"
        strokeWidth="3"
      >
        {inside
          ? name
          : right
            ? say("to the {name} →", { name })
            : say("← to the {name}", { name })}
      </text>
    );
  });
}

/** All of it, or what is about the shoe where that would be too small. */
function framed(points: readonly Point2[], floor: number, plan: Drawn, size: Size): Placed {
  const room: Room = {
    left: MARGIN,
    right: size.width - (size.width > WIDE ? BESIDE : MARGIN),
    top: MARGIN,
    bottom: size.height - MARGIN,
  };
  const content = bounds(points);
  const near = floor < content.bottom + (content.bottom - content.top);
  const all = fitInto(near ? bounds([...points, [0, floor]]) : content, room);
  const radius = plan.bender.radius;
  if (all.scale * radius >= LEAST_RADIUS) {
    return all;
  }
  const wide = (room.right - room.left) * (radius / LEAST_RADIUS);
  const high = (room.bottom - room.top) * (radius / LEAST_RADIUS);
  const lowest = near ? Math.max(content.bottom, floor) : content.bottom;
  const top =
    lowest - content.top < high
      ? (content.top + lowest - high) / 2
      : Math.min(Math.max(-high / 2, content.top), lowest - high);
  return fitInto({ left: -wide / 2, right: wide / 2, top, bottom: top + high }, room);
}
