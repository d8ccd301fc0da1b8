// A piece as it lies in the bender, seen from beside it, and a line of such a picture.
import type { Point3 } from "@/geometry/centreline";
import { type Placed, type Point2, polyline } from "@/geometry/views";

/** What goes away from who looks is drawn aslant, at this share of its length. */
const SLANT = 0.35;

/** The hook to the right, up upward, what leans away up to the right. */
export const beside = ([x, y, z]: Point3): Point2 => [x + y * SLANT, -z - y * SLANT];

type Props = {
  points: readonly Point2[];
  placed: Placed;
  width: number;
  className: string;
  dash?: string;
};

export function DrawnLine({ points, placed, width, className, dash }: Props) {
  return (
    <polyline
      points={polyline(points, placed.place)}
      fill="none"
      className={className}
      strokeWidth={width}
      strokeDasharray={dash}
    />
  );
}
