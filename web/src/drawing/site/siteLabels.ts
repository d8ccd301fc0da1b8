// Where the words of a plan stand, so that none lies on another: names first, then what each stretch
// is, beside the longest of its legs that has room.
import type { SitePlan, SiteStop, SiteStretch } from "@/api/sites";
import { type PlanPoint, pointOf, type SiteDocument } from "@/model/sites";
import { say } from "@/words/say";
import { onScreen, type SiteView } from "./siteView";

export type SiteLabel = {
  readonly key: string;
  readonly text: string;
  readonly at: PlanPoint;
  readonly anchor: "start" | "middle" | "end";
  readonly named: boolean;
};

type Box = readonly [left: number, top: number, right: number, bottom: number];

/** Pixels a letter takes, and a line, of a name and of what a stretch is. */
const NAMED = { letter: 7.6, tall: 16 } as const;
const TOLD = { letter: 6.9, tall: 14 } as const;
const MARK = 10;
const OFF = 8;

export function siteLabels(
  document: SiteDocument,
  plan: SitePlan | null,
  view: SiteView,
  width: number,
): SiteLabel[] {
  const taken: Box[] = (plan?.stops ?? []).map(({ at }) => {
    const [x, y] = onScreen(view, pointOf(at));
    return [x - MARK, y - MARK, x + MARK, y + MARK];
  });
  const found: SiteLabel[] = [];
  const put = (places: readonly SiteLabel[], always: boolean) => {
    const free = places.find((label) => {
      const box = boxOf(label);
      return box[0] > 0 && box[2] < width && !taken.some((other) => overlap(other, box));
    });
    const label = free ?? (always ? places[0] : undefined);
    if (label) {
      found.push(label);
      taken.push(boxOf(label));
    }
  };
  for (const stop of plan?.stops ?? []) {
    put(besideStop(stop, document, view), true);
  }
  for (const stretch of plan?.stretches ?? []) {
    put(besideLegs(stretch, view), false);
  }
  return found;
}

/** The places of a name: in a building's outline where that has room, over it, under it, beside. */
function besideStop(stop: SiteStop, document: SiteDocument, view: SiteView): SiteLabel[] {
  if (!stop.name) {
    return [];
  }
  const text = stop.planned ? say("{name} (planned)", { name: stop.name }) : stop.name;
  const label = { key: `stop ${stop.number}`, text, named: true } as const;
  const [x, y] = onScreen(view, pointOf(stop.at));
  const beside: SiteLabel[] = [
    { ...label, at: [x + MARK + 2, y - MARK], anchor: "start" },
    { ...label, at: [x - MARK - 2, y - MARK], anchor: "end" },
    { ...label, at: [x + MARK + 2, y + MARK + 10], anchor: "start" },
    { ...label, at: [x - MARK - 2, y + MARK + 10], anchor: "end" },
  ];
  const outline = stop.place === null ? [] : (document.places[stop.place]?.outline ?? []);
  if (outline.length < 3) {
    return beside;
  }
  const corners = outline.map((point) => onScreen(view, pointOf(point)));
  const [across, down] = mean(corners);
  const tall = Math.max(...corners.map(([, each]) => each)) - down;
  const wide = Math.max(...corners.map(([each]) => each)) - across;
  const within: SiteLabel[] =
    wide * 2 > text.length * NAMED.letter + MARK
      ? [{ ...label, at: [across, down + 5], anchor: "middle" }]
      : [];
  return [
    ...within,
    { ...label, at: [across, down - tall - 6], anchor: "middle" },
    { ...label, at: [across, down + tall + NAMED.tall], anchor: "middle" },
    ...beside,
  ];
}

function mean(points: readonly PlanPoint[]): PlanPoint {
  const sum = points.reduce<PlanPoint>(([x, y], each) => [x + each[0], y + each[1]], [0, 0]);
  return [sum[0] / points.length, sum[1] / points.length];
}

/** The places beside a stretch's legs, the longest leg first. */
function besideLegs(stretch: SiteStretch, view: SiteView): SiteLabel[] {
  const points = stretch.line.map((point) => onScreen(view, pointOf(point)));
  const text = `${stretch.ducts_text} · ${stretch.length_text}`;
  const label = { key: `stretch ${stretch.number}`, text, named: false } as const;
  const legs = points.slice(1).map((point, at) => [points[at] ?? point, point] as const);
  const long = ([one, other]: readonly [PlanPoint, PlanPoint]) =>
    Math.hypot(other[0] - one[0], other[1] - one[1]);
  return legs
    .toSorted((one, other) => long(other) - long(one))
    .flatMap((leg): SiteLabel[] => {
      const [[x, y], [u, v]] = leg;
      const [east, down] = [(x + u) / 2, (y + v) / 2];
      const upright = Math.abs(v - y) > Math.abs(u - x);
      return upright
        ? [
            { ...label, at: [east + OFF, down + 4], anchor: "start" },
            { ...label, at: [east - OFF, down + 4], anchor: "end" },
          ]
        : [
            { ...label, at: [east, down - OFF], anchor: "middle" },
            { ...label, at: [east, down + OFF + TOLD.tall - 4], anchor: "middle" },
          ];
    });
}

function boxOf({ text, at: [x, y], anchor, named }: SiteLabel): Box {
  const { letter, tall } = named ? NAMED : TOLD;
  const wide = text.length * letter;
  const left = anchor === "start" ? x : anchor === "end" ? x - wide : x - wide / 2;
  return [left, y - tall + 3, left + wide, y + 3];
}

function overlap([left, top, right, bottom]: Box, [l, t, r, b]: Box): boolean {
  return left < r && l < right && top < b && t < bottom;
}
