// A bend from the side, as the pipe lies in the bender: before it and after it, with the floor.
import type { BendHandling } from "@/api/queries";
import { bounds, fitInto, type Point2 } from "@/geometry/views";

const WIDTH = 264;
const HEIGHT = 96;
const MARGIN = 8;
/** How far the floor may lie under what is drawn before it is left out, in heights of the drawing. */
const FAR = 3;

export function HalfBent({ bend, radius }: { bend: BendHandling; radius: number }) {
  const side = (points: readonly (readonly number[])[]): Point2[] =>
    points.map(([x = 0, , z = 0]) => [x, -z]);
  const before = side(bend.before);
  const after = side(bend.after);
  const content = bounds([...before, ...after]);
  const near = -bend.floor < (content.bottom - content.top + radius) * FAR;
  const floor = -bend.floor;
  const { place, scale } = fitInto(
    bounds([...before, ...after, ...(near ? [[0, floor] as const] : [])]),
    {
      left: MARGIN,
      right: WIDTH - MARGIN,
      top: MARGIN,
      bottom: HEIGHT - MARGIN,
    },
  );
  const flat = (points: readonly Point2[]) =>
    points.map((point) => place(point).join(",")).join(" ");
  const [, floorY] = place([0, floor]);
  const [shoeX, shoeY] = place([0, -radius]);
  const under = bend.meets.some(({ what }) => what === "floor");
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-1 w-full rounded border border-line bg-canvas"
      role="img"
      aria-label={`Bend ${bend.bend + 1} from the side, hook to the right${under ? ", under the floor" : ""}`}
    >
      {near ? (
        <line
          x2={WIDTH}
          y1={floorY}
          y2={floorY}
          className={under ? "stroke-amber" : "stroke-strong-line"}
          strokeWidth="1.5"
        />
      ) : null}
      <circle
        cx={shoeX}
        cy={shoeY}
        r={radius * scale}
        fill="none"
        className="stroke-line"
        strokeWidth="1.5"
      />
      <polyline
        points={flat(before)}
        fill="none"
        className="stroke-arc"
        strokeWidth="2"
        strokeDasharray="4 4"
      />
      <polyline points={flat(after)} fill="none" className="stroke-ink" strokeWidth="2.5" />
    </svg>
  );
}
