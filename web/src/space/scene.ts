// A plan as solids: the pipe in pieces, and what stands on site. No React, no screen.
import { CurvePath, LineCurve3, TubeGeometry, Vector3 } from "three";
import { along, centreline, type Point3, point3 } from "@/geometry/centreline";
import type { Plan } from "@/model/document";

export type Tube = {
  readonly key: string;
  readonly bend: number | null;
  readonly geometry: TubeGeometry;
};

export type Solid = {
  readonly key: string;
  readonly kind: "block" | "round" | "hole" | "fitting";
  readonly feature: number | null;
  readonly centre: Vector3;
  /** Along the leg, toward the pipe's side, and square to both. */
  readonly size: readonly [number, number, number];
  readonly ahead: Vector3;
  readonly toward: Vector3;
};

const ROUND = 18;
/** How far things reach across the leg, in diameters of the pipe. */
const ACROSS = 5;

/** The site's own axes are ahead, left and out; the picture has out upward. */
export function placed([x, y, z]: Point3): Vector3 {
  return new Vector3(x, z, -y);
}

export function tubes(plan: Plan): Tube[] {
  const radius = plan.conduit.diameter / 2;
  return centreline(plan.path, plan.arcs)
    .filter(({ points }) => points.length > 1)
    .map(({ bend, points }, at) => {
      const curve = new CurvePath<Vector3>();
      const corners = points.map(placed);
      corners.slice(1).forEach((point, index) => {
        const before = corners[index];
        if (before && before.distanceTo(point) > 0) {
          curve.add(new LineCurve3(before, point));
        }
      });
      const steps = bend === null ? Math.max(points.length - 1, 1) : (points.length - 1) * 2;
      return { key: `${at}`, bend, geometry: new TubeGeometry(curve, steps, radius, ROUND) };
    });
}

export function solids(plan: Plan): Solid[] {
  const wide = plan.conduit.diameter * ACROSS;
  return plan.things.map((thing, at) => {
    const ahead = point3(thing.ahead);
    const toward = point3(thing.toward);
    const near = point3(thing.at);
    const shared = {
      key: `${thing.feature}-${thing.kind}-${at}`,
      feature: thing.feature ?? null,
      ahead: placed(ahead),
      toward: placed(toward),
    };
    if (thing.kind === "box" || thing.kind === "coupling") {
      const size = thing.along;
      return {
        ...shared,
        kind: "fitting" as const,
        centre: placed(along(near, ahead, size / 2)),
        size: [size, size, size] as const,
      };
    }
    if (thing.kind === "hole") {
      return {
        ...shared,
        kind: "hole" as const,
        centre: placed(near),
        size: [thing.height, thing.height, wide] as const,
      };
    }
    const middle = along(along(near, ahead, thing.along / 2), toward, -thing.height / 2);
    return {
      ...shared,
      kind: thing.kind === "round" ? ("round" as const) : ("block" as const),
      centre: placed(middle),
      size: [thing.along, thing.height, wide] as const,
    };
  });
}

/** The rectangle of the mounting surface under the run: its middle, its length and width. */
export function surface(plan: Plan): { centre: Vector3; size: readonly [number, number] } {
  const axis = (which: 0 | 1) => {
    const places = plan.path.map((point) => point3(point)[which]);
    const [low, high] = [Math.min(...places), Math.max(...places)];
    return { middle: (low + high) / 2, length: high - low };
  };
  const [ahead, left] = [axis(0), axis(1)];
  const beyond = plan.conduit.diameter * ACROSS * 2;
  const first = point3(plan.path[0] ?? [])[2];
  const low = Math.min(...plan.path.map((point) => point3(point)[2]), first);
  return {
    centre: placed([ahead.middle, left.middle, low - plan.conduit.diameter / 2]),
    size: [ahead.length + beyond, left.length + beyond],
  };
}

/** The middle of the run, and how far it reaches from there. */
export function extent(plan: Plan): { centre: Vector3; reach: number } {
  const points = plan.path.map((point) => placed(point3(point)));
  const low = points.reduce((a, b) => a.clone().min(b), points[0] ?? new Vector3());
  const high = points.reduce((a, b) => a.clone().max(b), points[0] ?? new Vector3());
  return {
    centre: low.clone().add(high).multiplyScalar(0.5),
    reach: low.distanceTo(high) / 2 || 1,
  };
}
