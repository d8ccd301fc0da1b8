// Everything of a plan that a view has to show, flat.
import { along, point3 } from "@/geometry/centreline";
import type { Point2, View } from "@/geometry/views";
import type { Plan } from "@/model/document";

export function allPoints(plan: Plan, view: View): Point2[] {
  const path = plan.path.map(point3);
  const site = plan.site.flatMap(({ start, end }) => [point3(start), point3(end)]);
  const things = plan.things
    .filter(({ kind }) => isObstacle(kind))
    .flatMap((thing) => {
      const near = point3(thing.at);
      const far = along(near, point3(thing.ahead), thing.along);
      return [near, far, along(far, point3(thing.toward), -thing.height)];
    });
  return [...path, ...site, ...things].map(view.flat);
}

/** Whether a thing is stepped over, rather than started from or ended at. */
export function isObstacle(kind: Plan["things"][number]["kind"]): boolean {
  return kind === "ledge" || kind === "round" || kind === "hole";
}
