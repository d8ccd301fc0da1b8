// Where a point of a plan lands: on what is there, at a right angle, or on a tenth of a metre.
import { type PlanPoint, pointOf, type SiteDocument } from "./sites";

export type Snapped = {
  readonly at: PlanPoint;
  /** What it landed on. */
  readonly on: "point" | "trench" | "square" | "free";
};

/** As far as this of a right angle, in degrees, it is one. */
const SQUARE = 6;

/**
 * Args: point, where it would lie; reach, m, as far as it is drawn to what is there; before, the points
 * of the line that it goes on from; without, a point that is being moved.
 */
export function snapped(
  site: SiteDocument,
  point: PlanPoint,
  reach: number,
  before: readonly PlanPoint[] = [],
  without?: PlanPoint,
): Snapped {
  const there = pointsOf(site).filter((each) => !(without && apart(each, without) < 0.01));
  const near = nearest(there, point);
  if (near && apart(near, point) <= reach) {
    return { at: near, on: "point" };
  }
  const feet = without ? [] : segmentsOf(site).map((segment) => footOn(segment, point));
  const foot = nearest(feet, point);
  if (foot && apart(foot, point) <= reach) {
    return { at: hundredth(foot), on: "trench" };
  }
  const last = before.at(-1);
  const square = last ? squared(last, before.at(-2), point) : null;
  if (square) {
    return { at: tenth(square), on: "square" };
  }
  return { at: tenth(point), on: "free" };
}

/** The point moved so that the line from the last one goes straight on, square, or along an axis. */
function squared(
  last: PlanPoint,
  before: PlanPoint | undefined,
  point: PlanPoint,
): PlanPoint | null {
  const base = before ? Math.atan2(last[1] - before[1], last[0] - before[0]) : 0;
  const long = apart(last, point);
  const heading = Math.atan2(point[1] - last[1], point[0] - last[0]);
  for (const from of [base, 0]) {
    const turn = heading - from;
    const quarter = Math.round(turn / (Math.PI / 2)) * (Math.PI / 2);
    if (Math.abs(turn - quarter) <= (SQUARE * Math.PI) / 180) {
      const angle = from + quarter;
      const along = long * Math.cos(turn - quarter);
      return [last[0] + along * Math.cos(angle), last[1] + along * Math.sin(angle)];
    }
  }
  return null;
}

function pointsOf(site: SiteDocument): PlanPoint[] {
  return [
    ...site.places.flatMap(({ at, entries }) => [at, ...(entries ?? [])]),
    ...site.trenches.flatMap(({ line }) => line),
  ].map(pointOf);
}

type Segment = readonly [PlanPoint, PlanPoint];

function segmentsOf(site: SiteDocument): Segment[] {
  return site.trenches.flatMap(({ line }) =>
    line.slice(1).map((point, at): Segment => [pointOf(line[at] ?? point), pointOf(point)]),
  );
}

function footOn([one, other]: Segment, point: PlanPoint): PlanPoint {
  const [across, up] = [other[0] - one[0], other[1] - one[1]];
  const long = across ** 2 + up ** 2 || 1;
  const share = ((point[0] - one[0]) * across + (point[1] - one[1]) * up) / long;
  const within = Math.min(Math.max(share, 0), 1);
  return [one[0] + within * across, one[1] + within * up];
}

function nearest(points: readonly PlanPoint[], to: PlanPoint): PlanPoint | undefined {
  let best: PlanPoint | undefined;
  for (const point of points) {
    if (!best || apart(point, to) < apart(best, to)) {
      best = point;
    }
  }
  return best;
}

function apart(one: PlanPoint, other: PlanPoint): number {
  return Math.hypot(one[0] - other[0], one[1] - other[1]);
}

function tenth([x, y]: PlanPoint): PlanPoint {
  return [Math.round(x * 10) / 10, Math.round(y * 10) / 10];
}

function hundredth([x, y]: PlanPoint): PlanPoint {
  return [Math.round(x * 100) / 100, Math.round(y * 100) / 100];
}
