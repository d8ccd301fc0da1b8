// One piece at one bend as it belongs on the wall: seen as it is, never mirrored, so that a piece
// that is the wrong way round looks wrong.

import type { ReactNode } from "react";
import type { BendHandling } from "@/api/planning";
import { linePoints, type Point3, point3 } from "@/geometry/centreline";
import { bounds, fitInto, type Placed, type Point2, polyline } from "@/geometry/views";
import type { Plan } from "@/model/document";
import { say } from "@/words/say";

type Size = { readonly width: number; readonly height: number };

const MARGIN = 18;
/** Beside a piece, for the names of its ends. */
const NAMES = 40;
/** What goes toward or away from who looks is drawn aslant, at this share of its length. */
const SLANT = 0.35;
const THINNEST = 3;

/** From the front: ahead to the right, left upward, out toward who looks. */
const fromTheFront = ([x, y, z]: Point3): Point2 => [x - z * SLANT, -y + z * SLANT];

export function OnWall({ bend, plan, size }: { bend: BendHandling; plan: Plan; size: Size }) {
  const whole = linePoints(plan.path, plan.arcs).map(fromTheFront);
  const made = bend.wall.map(point3).map(fromTheFront);
  const placed = framed([...whole, ...made], size);
  return (
    <Picture
      size={size}
      label={say("Bend {bend} on the wall, from the front", { bend: bend.bend + 1 })}
    >
      <polyline
        points={polyline(whole, placed.place)}
        fill="none"
        className="stroke-line"
        strokeWidth={thick(plan, placed) + 2}
        strokeLinejoin="round"
      />
      <Piece points={made} placed={placed} plan={plan} />
    </Picture>
  );
}

/** A bent piece with both of its ends named. */
function Piece({
  points,
  placed,
  plan,
}: {
  points: readonly Point2[];
  placed: Placed;
  plan: Plan;
}) {
  const ends = [
    { name: "start", at: points[0], next: points[1] },
    { name: "end", at: points.at(-1), next: points.at(-2) },
  ];
  return (
    <>
      <polyline
        points={polyline(points, placed.place)}
        fill="none"
        className="stroke-ink"
        strokeWidth={thick(plan, placed)}
        strokeLinejoin="round"
      />
      {ends.map(({ name, at, next }) => {
        if (!at || !next) {
          return null;
        }
        const [x, y] = placed.place(at);
        const [fromX, fromY] = placed.place(next);
        const size = Math.hypot(x - fromX, y - fromY) || 1;
        return (
          <text
            key={name}
            x={x + ((x - fromX) / size) * 4}
            y={y + ((y - fromY) / size) * 9 + 4}
            textAnchor={Math.abs(x - fromX) < size / 2 ? "middle" : x > fromX ? "start" : "end"}
            className="fill-accent text-xs font-semibold"
          >
            {name}
          </text>
        );
      })}
    </>
  );
}

function Picture({ size, label, children }: { size: Size; label: string; children: ReactNode }) {
  return (
    <svg
      viewBox={`0 0 ${size.width} ${size.height}`}
      className="w-full rounded border border-line bg-canvas"
      role="img"
      aria-label={label}
    >
      {children}
    </svg>
  );
}

function framed(points: readonly Point2[], size: Size): Placed {
  return fitInto(bounds(points), {
    left: NAMES,
    right: size.width - NAMES,
    top: MARGIN,
    bottom: size.height - MARGIN,
  });
}

function thick(plan: Plan, placed: Placed): number {
  return Math.max(plan.conduit.diameter * placed.scale, THINNEST);
}
