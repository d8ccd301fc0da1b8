// Exact against printed: the pipe that each set of marks gives, and by how much each number is off.
import { linePoints, type Point3, point3 } from "@/geometry/centreline";
import { spread } from "@/geometry/spread";
import type { Point2, Room } from "@/geometry/views";
import type { Plan } from "@/model/document";
import { ReadingSpan } from "@/ui/Reading";
import { say } from "@/words/say";

type Props = {
  plan: Plan;
  flat: (points: readonly Point3[]) => string;
  at: (point: Point3) => Point2;
  room: Room;
};

const TAG = 92;
const TAG_Y = 26;
const MARGIN = 12;
const FIGURE = 13;

export function ExactAndPrinted({ plan, flat, at, room }: Props) {
  const { beside } = plan;
  if (!beside || beside.path.length === 0 || plan.comes_out_as.length === 0) {
    return null;
  }
  const made = linePoints(plan.comes_out_as, plan.comes_out_arcs);
  const other = linePoints(beside.path, beside.arcs);
  const [exact, printed] = plan.method === "table" ? [other, made] : [made, other];
  const off = (plan.method === "table" ? plan.dimensions : beside.dimensions)
    .filter(({ off_text }) => off_text !== "0")
    .flatMap((dimension) => {
      const site = plan.site.find(
        ({ feature, field }) => feature === dimension.feature && field === dimension.field,
      );
      return site ? [{ dimension, point: at(point3(site.end)) }] : [];
    })
    .toSorted((a, b) => a.point[0] - b.point[0]);
  const places = spread(
    off.map(({ point }) => point[0]),
    off.map(() => TAG),
    room.left + MARGIN,
    room.right - MARGIN,
  );
  const y = room.top + TAG_Y;
  return (
    <g>
      <g fill="none" strokeLinejoin="round">
        <polyline
          points={flat(printed)}
          className="stroke-amber"
          strokeWidth="2.5"
          strokeDasharray="7 5"
          data-printed-pipe
        />
        <polyline
          points={flat(exact)}
          className="stroke-accent"
          strokeWidth="1.6"
          data-exact-pipe
        />
      </g>
      {off.map(({ dimension, point }, index) => {
        const x = places[index] ?? point[0];
        return (
          <g key={`${dimension.feature}-${dimension.field}`}>
            <path
              d={`M${x} ${y + 8} L${point[0]} ${point[1]}`}
              className="stroke-strong-line"
              strokeWidth="1"
            />
            <circle cx={point[0]} cy={point[1]} r="3" className="fill-amber" />
            <text
              x={x}
              y={y}
              textAnchor="middle"
              strokeWidth="5"
              className="fill-ink stroke-canvas text-[13px] [paint-order:stroke]"
            >
              <tspan className="fill-soft">
                {dimension.feature + 1} {dimension.field}{" "}
              </tspan>
              <tspan className="font-semibold">
                <ReadingSpan text={dimension.off_text} size={FIGURE} />
              </tspan>
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** What the two lines mean. */
export function Legend({ x, y }: { x: number; y: number }) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <line x2="28" y1="-4" y2="-4" className="stroke-accent" strokeWidth="1.6" />
      <text x="34" className="fill-soft text-[13px]">
        {say("exact marks")}
      </text>
      <line
        x1="130"
        x2="158"
        y1="-4"
        y2="-4"
        className="stroke-amber"
        strokeWidth="2.5"
        strokeDasharray="7 5"
      />
      <text x="164" className="fill-soft text-[13px]">
        {say("printed marks, as they come out")}
      </text>
    </g>
  );
}
