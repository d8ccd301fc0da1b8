// Where the site's numbers go in a view: lengths along it in rows below, upright ones beside it.
import { point3 } from "@/geometry/centreline";
import { bounds, type Point2, type View } from "@/geometry/views";
import type { Plan } from "@/model/document";
import { allPoints, isObstacle } from "./points";

export type DrawnDimension = {
  readonly key: string;
  readonly feature: number;
  readonly text: string;
  readonly upright: boolean;
  /** The dimension line itself, and the two points on site that it is between. */
  readonly from: Point2;
  readonly to: Point2;
  readonly ends: readonly [Point2, Point2];
};

const BELOW = 30;
const HANGING = 26;
const ROW = 24;
const BESIDE = 34;
const NEAR = 16;
const SHORTEST = 6;
/** The height of a thing stands within it: it has to be as high as its figures. */
const SHORTEST_HEIGHT = 22;
/** Numbers that stand up from the surface, drawn where they are measured. */
const UPWARD = new Set(["rise", "height", "depth"]);

type Place = (point: Point2) => Point2;
const AS_IT_IS: Place = (point) => point;

/** `rows` is known before there is a scale; `lines` are right for the `place` that was given. */
export function layOutDimensions(plan: Plan, view: View, place: Place = AS_IT_IS) {
  const content = bounds(allPoints(plan, view).map(place));
  const measured = plan.site.map((dimension) => ({
    dimension,
    begin: place(view.flat(point3(dimension.start))),
    end: place(view.flat(point3(dimension.end))),
  }));
  const level = measured.filter(({ begin, end }) => isLevel(begin, end));
  const upright = measured.filter(
    ({ begin, end }) => !isLevel(begin, end) && Math.abs(end[1] - begin[1]) > 0,
  );
  // Short ones nearest to the run, so that no extension line crosses a figure.
  const ordered = level.toSorted((a, b) => span(a.begin, a.end, 0) - span(b.begin, b.end, 0));
  const clear = BELOW + (plan.things.some((thing) => hangsBelow(thing, view)) ? HANGING : 0);
  const lines: DrawnDimension[] = ordered.map(({ dimension, begin, end }, row) => {
    const y = content.bottom + clear + row * ROW;
    return {
      key: `${dimension.feature}-${dimension.field}`,
      feature: dimension.feature,
      text: dimension.text,
      upright: false,
      from: [begin[0], y],
      to: [end[0], y],
      ends: [begin, end],
    };
  });
  let beside = 0;
  for (const { dimension, begin, end } of upright) {
    const shortest = dimension.field === "height" ? SHORTEST_HEIGHT : SHORTEST;
    if (place !== AS_IT_IS && span(begin, end, 1) < shortest) {
      continue;
    }
    const x = UPWARD.has(dimension.field)
      ? begin[0] + NEAR
      : content.right + BESIDE + ROW * 1.6 * beside++;
    lines.push({
      key: `${dimension.feature}-${dimension.field}`,
      feature: dimension.feature,
      text: dimension.text,
      upright: true,
      from: [x, begin[1]],
      to: [x, end[1]],
      ends: [begin, end],
    });
  }
  return { rows: level.length, lines };
}

/** Whether a box or coupling at an end reaches down past the run itself. */
function hangsBelow(thing: Plan["things"][number], view: View): boolean {
  const [x, y] = view.flat(point3(thing.ahead));
  return !isObstacle(thing.kind) && y > Math.abs(x);
}

function isLevel(begin: Point2, end: Point2): boolean {
  return span(begin, end, 0) > span(begin, end, 1);
}

function span(begin: Point2, end: Point2, axis: 0 | 1): number {
  return Math.abs(end[axis] - begin[axis]);
}
