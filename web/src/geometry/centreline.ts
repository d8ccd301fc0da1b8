// A pipe's centreline as pieces to draw, in space: straights, and the arcs that its plan names.
import type { Schemas } from "@/api/client";

export type Point3 = readonly [number, number, number];
export type Piece = { readonly bend: number | null; readonly points: readonly Point3[] };
type Arc = Schemas["ArcToDraw"];

const ARC_STEPS = 10;

/** A pipe's straights and arcs, in order; without arcs its bare corners. */
export function centreline(
  vertices: readonly (readonly number[])[],
  arcs: readonly Arc[],
): Piece[] {
  const path = vertices.map(point3);
  const last = path.at(-1);
  if (!last) {
    return [];
  }
  const pieces: Piece[] = [];
  let here = arcs.length > 0 ? path.slice(0, 1) : path.slice(0, -1);
  arcs.forEach((arc, bend) => {
    const points = arcPoints(arc);
    pieces.push({ bend: null, points: [...here, ...points.slice(0, 1)] }, { bend, points });
    here = points.slice(-1);
  });
  return [...pieces, { bend: null, points: [...here, last] }];
}

/** All points of a pipe, in order. */
export function linePoints(
  vertices: readonly (readonly number[])[],
  arcs: readonly Arc[],
): Point3[] {
  return centreline(vertices, arcs).flatMap(({ points }) => points);
}

/** Points along an arc: its spoke, turned from the first to the last. */
function arcPoints({ begins, middle, ends }: Arc): Point3[] {
  const about = point3(middle);
  const [first, last] = [minus(point3(begins), about), minus(point3(ends), about)];
  const cosine = dot(first, last) / (dot(first, first) || 1);
  const turn = Math.acos(Math.min(Math.max(cosine, -1), 1));
  const sine = Math.max(Math.sin(turn), 1e-9);
  return Array.from({ length: ARC_STEPS + 1 }, (_, step) => {
    const part = (turn * step) / ARC_STEPS;
    return along(along(about, first, Math.sin(turn - part) / sine), last, Math.sin(part) / sine);
  });
}

export function point3(values: readonly number[]): Point3 {
  return [values[0] ?? 0, values[1] ?? 0, values[2] ?? 0];
}

export function along(from: Point3, direction: Point3, distance: number): Point3 {
  return [
    from[0] + direction[0] * distance,
    from[1] + direction[1] * distance,
    from[2] + direction[2] * distance,
  ];
}

function minus(a: Point3, b: Point3): Point3 {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
}

function dot(a: Point3, b: Point3): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}
