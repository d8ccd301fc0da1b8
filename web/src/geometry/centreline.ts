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
  const pieces: Piece[] = [];
  let here = first;
  plan.bends.forEach((bend, number) => {
    const before = path[bend.vertex - 1];
    const vertex = path[bend.vertex];
    const after = path[bend.vertex + 1];
    if (!before || !vertex || !after) {
      return;
    }
    const arriving = unit(minus(vertex, before));
    const leaving = unit(minus(after, vertex));
    const turn = (bend.angle * Math.PI) / 180;
    const tangent = bend.radius * Math.tan(turn / 2);
    const begin = along(vertex, arriving, -tangent);
    // Square to the way in, in the plane of the bend, on the side that it turns to.
    const side = scaled(
      minus(leaving, scaled(arriving, Math.cos(turn))),
      1 / Math.max(Math.sin(turn), 1e-9),
    );
    const arc = Array.from({ length: ARC_STEPS + 1 }, (_, step) => {
      const part = (turn * step) / ARC_STEPS;
      const ahead = along(begin, arriving, bend.radius * Math.sin(part));
      return along(ahead, side, bend.radius * (1 - Math.cos(part)));
    });
    pieces.push({ bend: null, points: [here, begin] }, { bend: number, points: arc });
    here = along(vertex, leaving, tangent);
  });
  // Without bends there is no pipe to fillet: the corners themselves are all that is known.
  pieces.push({ bend: null, points: plan.bends.length ? [here, last] : path });
  return pieces;
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

function unit(a: Point3): Point3 {
  return scaled(a, 1 / (Math.hypot(...a) || 1));
}
