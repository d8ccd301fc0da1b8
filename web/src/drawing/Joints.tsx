// Where a run is parted and held up: a coupling over the pipe at each joint, every other piece
// hatched with its number beside its middle, a ring at every strap.

import type { PiecesOfRun } from "@/api/planning";
import { along, linePoints, type Point3, point3 } from "@/geometry/centreline";
import type { Point2 } from "@/geometry/views";
import { putJoint, whereFound } from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { say } from "@/words/say";
import { Hatch } from "./Hatch";

type Props = {
  made: PiecesOfRun;
  place: (at: Point3) => Point2;
  flat: (points: readonly Point3[]) => string;
  thick: number;
};

/** A coupling is drawn no shorter. */
const LEAST = 9;
const OVER = 6;
const NUMBER = 17;
/** How far the ring of a strap stands off the pipe. */
const STRAP = 3.5;

export function Joints({ made, place, flat, thick }: Props) {
  const byHand = usePlanner((state) => state.history.present.joints?.places !== undefined);
  return (
    <g>
      {made.supports?.straps.map((strap) => {
        const [x, y] = place(point3(strap.at_point));
        return (
          <circle
            key={strap.number}
            data-strap-at={strap.number}
            cx={x}
            cy={y}
            r={thick / 2 + STRAP}
            fill="none"
            className="stroke-soft"
            strokeWidth="1.4"
          />
        );
      })}
      {byHand ? <Rooms made={made} place={place} /> : null}
      {made.joints.length > 0 ? (
        <Pieces made={made} place={place} flat={flat} thick={thick} />
      ) : null}
    </g>
  );
}

/** A cross where a joint may be put: half way along every straight that has room for one. */
function Rooms({ made, place }: Pick<Props, "made" | "place">) {
  const change = usePlanner((state) => state.change);
  const found = whereFound(made.joints);
  return made.rooms.map(({ leg, middle_text, middle_point }) => {
    const [x, y] = place(point3(middle_point));
    return (
      // biome-ignore lint/a11y/useSemanticElements: a part of a drawing can't be a button
      <g
        key={`${leg} ${middle_text}`}
        role="button"
        tabIndex={0}
        aria-label={say("Put a joint on leg {leg} at {middle}", { leg, middle: middle_text })}
        data-room={leg}
        className="cursor-pointer opacity-60 hover:opacity-100 focus-visible:opacity-100"
        onClick={() => change(putJoint(found, { leg, at: middle_text }))}
        onKeyDown={(event) => {
          if (event.key === "Enter" || event.key === " ") {
            event.preventDefault();
            change(putJoint(found, { leg, at: middle_text }));
          }
        }}
      >
        <circle cx={x} cy={y} r="10" className="fill-paper stroke-accent" />
        <path d={`M${x - 4} ${y}h8M${x} ${y - 4}v8`} className="stroke-accent" strokeWidth="1.6" />
      </g>
    );
  });
}

function Pieces({ made, place, flat, thick }: Props) {
  const shown = usePlanner((state) => Math.max(state.piece, 1));
  const look = usePlanner((state) => state.lookAtPiece);
  return (
    <>
      <Hatch id="every-other" size={5} />
      {made.pieces.map(({ number, plan }) => {
        const points = linePoints(plan.path, plan.arcs);
        const [x, y] = place(middleOf(points));
        return (
          <g key={number}>
            {number % 2 === 0 ? (
              <polyline
                points={flat(points)}
                fill="none"
                stroke="url(#every-other)"
                strokeWidth={thick}
                className="pointer-events-none"
              />
            ) : null}
            <g className="cursor-pointer" onPointerDown={() => look(number)} data-piece-at={number}>
              <circle
                cx={x + NUMBER}
                cy={y - NUMBER}
                r="9"
                className={number === shown ? "fill-accent" : "fill-paper stroke-strong-line"}
              />
              <text
                x={x + NUMBER}
                y={y - NUMBER + 4}
                textAnchor="middle"
                className={`text-xs font-semibold ${number === shown ? "fill-on-accent" : "fill-ink"}`}
              >
                {number}
              </text>
            </g>
          </g>
        );
      })}
      {made.joints.map((joint) => {
        const at = point3(joint.at_point);
        const way = point3(joint.ahead);
        const [x, y] = place(along(at, way, -joint.length / 2));
        const [toX, toY] = place(along(at, way, joint.length / 2));
        const size = Math.hypot(toX - x, toY - y);
        const [middleX, middleY] = [(x + toX) / 2, (y + toY) / 2];
        const longer = Math.max(LEAST / (size || 1), 1) / 2;
        return (
          <line
            key={joint.number}
            data-joint-at={joint.number}
            x1={middleX - (toX - x) * longer}
            y1={middleY - (toY - y) * longer}
            x2={middleX + (toX - x) * longer}
            y2={middleY + (toY - y) * longer}
            strokeWidth={thick + OVER}
            className="stroke-ink"
          />
        );
      })}
    </>
  );
}

/** Half way along a line of points. */
function middleOf(points: readonly Point3[]): Point3 {
  const steps = points.slice(1).map((to, at) => distance(points[at] ?? to, to));
  let left = steps.reduce((sum, step) => sum + step, 0) / 2;
  for (const [at, step] of steps.entries()) {
    const [from, to] = [points[at], points[at + 1]];
    if (left <= step && from && to) {
      const part = step > 0 ? left / step : 0;
      return [
        from[0] + (to[0] - from[0]) * part,
        from[1] + (to[1] - from[1]) * part,
        from[2] + (to[2] - from[2]) * part,
      ];
    }
    left -= step;
  }
  return points[0] ?? [0, 0, 0];
}

function distance(a: Point3, b: Point3): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
}
