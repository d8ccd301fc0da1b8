// A plan's centreline as pieces to draw: straight parts and arcs, in space.
import type { Plan } from "@/model/document";

export type Point3 = readonly [number, number, number];
export type Piece = { readonly bend: number | null; readonly points: readonly Point3[] };

const ARC_STEPS = 10;

export function centreline(plan: Plan): Piece[] {
  const path = plan.path.map(point3);
  const first = path[0];
  const last = path.at(-1);
  if (!first || !last) {
    return [];
  }
  if (plan.bends.length === 0) {
    // Without bends there is no pipe to fillet: the corners themselves are all that is known.
    return [{ bend: null, points: path }];
  }
  const pieces: Piece[] = [];
  let here = first;
  plan.bends.forEach((bend, number) => {
    const corner = path.slice(bend.vertex - 1, bend.vertex + 2);
    const arc = cornerArc(corner, bend.radius);
    const begin = arc[0];
    const end = arc.at(-1);
    if (begin && end) {
      pieces.push({ bend: null, points: [here, begin] }, { bend: number, points: arc });
      here = end;
    }
  });
  pieces.push({ bend: null, points: [here, last] });
  return pieces;
}

/** A bent pipe's centreline from its vertices alone: every corner with an arc of the radius. */
export function rounded(vertices: readonly (readonly number[])[], radius: number): Point3[] {
  const path = vertices.map(point3);
  return path.flatMap((vertex, at) =>
    at === 0 || at === path.length - 1 ? [vertex] : cornerArc(path.slice(at - 1, at + 2), radius),
  );
}

/** Points along the arc in a corner: the vertex, with the ones before and after it. */
function cornerArc(corner: readonly Point3[], radius: number): Point3[] {
  const [before, vertex, after] = corner;
  if (!before || !vertex || !after) {
    return [];
  }
  const arriving = unit(minus(vertex, before));
  const leaving = unit(minus(after, vertex));
  const turn = Math.acos(Math.min(Math.max(dot(arriving, leaving), -1), 1));
  const begin = along(vertex, arriving, -radius * Math.tan(turn / 2));
  // Square to the way in, in the plane of the bend, on the side that it turns to.
  const side = scaled(
    minus(leaving, scaled(arriving, Math.cos(turn))),
    1 / Math.max(Math.sin(turn), 1e-9),
  );
  return Array.from({ length: ARC_STEPS + 1 }, (_, step) => {
    const part = (turn * step) / ARC_STEPS;
    const ahead = along(begin, arriving, radius * Math.sin(part));
    return along(ahead, side, radius * (1 - Math.cos(part)));
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

function scaled(a: Point3, by: number): Point3 {
  return [a[0] * by, a[1] * by, a[2] * by];
}

function dot(a: Point3, b: Point3): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

function unit(a: Point3): Point3 {
  return scaled(a, 1 / (Math.hypot(...a) || 1));
}
