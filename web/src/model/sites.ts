// What a person can change of ducts between buildings, as functions from document to document.
import type { Schemas } from "@/api/client";
import DECLARED from "@/documents/references.json";
import { say } from "@/words/say";
import { followed, type Reference } from "./references";

export type SiteDocument = Schemas["SiteDocument"];
export type Place = SiteDocument["places"][number];
export type Trench = SiteDocument["trenches"][number];
export type Cable = NonNullable<SiteDocument["cables"]>[number];
export type Tick = NonNullable<SiteDocument["ticks"]>[number];
export type PlaceKind = Place["kind"];
/** Metres east and north of the plan's own corner. */
export type PlanPoint = readonly [number, number];
export type SiteChange = (site: SiteDocument) => SiteDocument;

/** So near, two points are one, m: as the core has it. */
const ONE_POINT_M = 0.05;

export function newSite(units: "in" | "mm"): SiteDocument {
  return {
    format: "yarrow.site/1",
    name: say("New ducts"),
    units,
    places: [],
    trenches: [],
    cables: [],
  };
}

/** A point of a document, which is two numbers. */
export function pointOf(values: readonly number[]): PlanPoint {
  return [values[0] ?? 0, values[1] ?? 0];
}

export function same(one: PlanPoint, other: PlanPoint): boolean {
  return Math.hypot(one[0] - other[0], one[1] - other[1]) <= ONE_POINT_M;
}

export function setSite(fields: Partial<SiteDocument>): SiteChange {
  return (site) => ({ ...site, ...fields });
}

type Laid = NonNullable<SiteDocument["plan"]>;

/** The picture's pixel that lies at a point of the plan. */
export function pixelAt(laid: Laid, point: PlanPoint): PlanPoint {
  const [from, to, at] = [laid.from, laid.to, laid.at ?? [0, 0]].map(pointOf) as [
    PlanPoint,
    PlanPoint,
    PlanPoint,
  ];
  const scale = laid.apart / Math.hypot(to[0] - from[0], to[1] - from[1]);
  const turned = ((laid.turned ?? 0) * Math.PI) / 180;
  const [east, south] = [(point[0] - at[0]) / scale, (at[1] - point[1]) / scale];
  return [
    Math.round(from[0] + east * Math.cos(turned) + south * Math.sin(turned)),
    Math.round(from[1] - east * Math.sin(turned) + south * Math.cos(turned)),
  ];
}

/** The picture is measured by two other points of it, and stays where it is until it is said how far
 * those are apart. */
export function measurePicture(one: PlanPoint, other: PlanPoint): SiteChange {
  return (site) => {
    const laid = site.plan;
    if (!laid || same(one, other)) {
      return site;
    }
    const apart = rounded(Math.hypot(other[0] - one[0], other[1] - one[1]));
    const [from, to] = [[...pixelAt(laid, one)], [...pixelAt(laid, other)]];
    return { ...site, plan: { ...laid, from, to, at: [...one], apart } };
  };
}

/** The lines of another site, underneath: they mean nothing, and are looked at. */
export function layUnder({ trenches }: SiteDocument): SiteChange {
  return (site) => ({ ...site, backdrop: trenches.map(({ line }) => line) });
}

export function addPlace(kind: PlaceKind, at: PlanPoint, name?: string): SiteChange {
  return (site) => {
    const place: Place = {
      name: name && !site.places.some((each) => each.name === name) ? name : fresh(kind, site),
      kind,
      at: [...at],
    };
    if (kind === "building") {
      place.outline = around(at).map((point) => [...point]);
    }
    return { ...site, places: [...site.places, place] };
  };
}

/** A building as large as a small one, with its entry in the middle of its lower side. */
function around([x, y]: PlanPoint): readonly PlanPoint[] {
  const [wide, deep] = [12, 9];
  return [
    [x - wide / 2, y],
    [x + wide / 2, y],
    [x + wide / 2, y + deep],
    [x - wide / 2, y + deep],
  ];
}

const WORDS: Record<PlaceKind, string> = {
  building: say("Building"),
  "hand-hole": "H",
  vault: say("Vault"),
  "pull-box": say("Box"),
};

function fresh(kind: PlaceKind, site: SiteDocument): string {
  const word = WORDS[kind];
  const between = word.length > 1 ? " " : "";
  let number = 1;
  while (site.places.some(({ name }) => name === `${word}${between}${number}`)) {
    number += 1;
  }
  return `${word}${between}${number}`;
}

/** What of a site names a place of it. */
const REFERENCES = DECLARED.site as readonly Reference<"places" | "cables">[];

export function setPlace(at: number, fields: Partial<Place>): SiteChange {
  return (site) => {
    const next = { ...site, places: replaced(site.places, at, fields) };
    return followed(next, REFERENCES, "places", site.places[at]?.name, fields.name);
  };
}

/** A place is taken out, with the cables that begin or end there. */
export function removePlace(at: number): SiteChange {
  return (site) => {
    const next = { ...site, places: site.places.toSpliced(at, 1) };
    return followed(next, REFERENCES, "places", site.places[at]?.name, null);
  };
}

export function addTrench(line: readonly PlanPoint[]): SiteChange {
  return (site) => {
    let number = site.trenches.length + 1;
    while (site.trenches.some(({ name }) => name === `T${number}`)) {
      number += 1;
    }
    const trench = { name: say("T{number}", { number }), line: line.map((point) => [...point]) };
    return { ...site, trenches: [...site.trenches, trench] };
  };
}

export function setTrench(at: number, fields: Partial<Trench>): SiteChange {
  return (site) => ({ ...site, trenches: replaced(site.trenches, at, fields) });
}

/** What is left empty is as usual. */
export function setOrUsual(at: number, field: "cover" | "radius", text: string): SiteChange {
  return (site) => {
    const trenches = site.trenches.map((trench, number) => {
      if (number !== at) {
        return trench;
      }
      const { [field]: _, ...others } = trench;
      return text ? { ...others, [field]: text } : others;
    });
    return { ...site, trenches };
  };
}

export function removeTrench(at: number): SiteChange {
  return (site) => ({ ...site, trenches: site.trenches.toSpliced(at, 1) });
}

/** A point of the plan is moved, with everything that lies on it; a building with its outline. */
export function movePoint(from: PlanPoint, to: PlanPoint): SiteChange {
  const moved = (values: readonly number[]) =>
    same(pointOf(values), from) ? [...to] : [...values];
  const by: PlanPoint = [to[0] - from[0], to[1] - from[1]];
  return (site) => ({
    ...site,
    places: site.places.map((place) => {
      const outline = place.outline;
      const goes = same(pointOf(place.at), from) && outline;
      return {
        ...place,
        at: moved(place.at),
        ...(place.entries ? { entries: place.entries.map(moved) } : {}),
        ...(outline
          ? {
              outline: goes ? outline.map(([x = 0, y = 0]) => [x + by[0], y + by[1]]) : outline,
            }
          : {}),
      };
    }),
    trenches: site.trenches.map((trench) => ({ ...trench, line: trench.line.map(moved) })),
  });
}

export type Leg = { readonly length: number; readonly turn: number };

/** A trench's legs: how long each is, m, and how far it turns to the left from the one before. */
export function legsOf(line: readonly (readonly number[])[]): Leg[] {
  const points = line.map(pointOf);
  return points.slice(1).map((point, at) => {
    const before = points[at] ?? point;
    const length = Math.hypot(point[0] - before[0], point[1] - before[1]);
    const heading = headingOf(before, point);
    const last = at > 0 ? headingOf(points[at - 1] ?? before, before) : 0;
    return { length, turn: at > 0 ? turnedBy(last, heading) : heading };
  });
}

/** A leg is made another length, or turned: what comes after it goes along. */
export function setLeg(at: number, leg: number, fields: Partial<Leg>): SiteChange {
  return (site) => {
    const trench = site.trenches[at];
    const begins = trench?.line[0];
    if (!trench || !begins) {
      return site;
    }
    const legs = legsOf(trench.line).map((each, number) =>
      number === leg ? { ...each, ...fields } : each,
    );
    const line: number[][] = [[...begins]];
    let heading = 0;
    legs.forEach(({ length, turn }, number) => {
      heading = number === 0 ? turn : heading + turn;
      const [x = 0, y = 0] = line.at(-1) ?? [];
      const angle = (heading * Math.PI) / 180;
      line.push([rounded(x + length * Math.cos(angle)), rounded(y + length * Math.sin(angle))]);
    });
    return { ...site, trenches: replaced(site.trenches, at, { line }) };
  };
}

function headingOf(from: PlanPoint, to: PlanPoint): number {
  return (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
}

function turnedBy(before: number, after: number): number {
  return ((after - before + 540) % 360) - 180;
}

/** To a hundredth of a metre. */
export const M_A_FOOT = 0.3048;

export function rounded(metres: number): number {
  return Math.round(metres * 100) / 100;
}

export function addCable(from: string, to: string): SiteChange {
  return (site) => {
    const cable: Cable = {
      from,
      to,
      kind: "fibre",
      diameter: site.units === "mm" ? 12 : "1/2",
    };
    return { ...site, cables: [...(site.cables ?? []), cable] };
  };
}

export function setCable(at: number, fields: Partial<Cable>): SiteChange {
  return (site) => ({ ...site, cables: replaced(site.cables ?? [], at, fields) });
}

export function removeCable(at: number): SiteChange {
  return (site) => ({ ...site, cables: (site.cables ?? []).toSpliced(at, 1) });
}

/** Something was seen of a stretch, or it was not after all. */
export function setTick(tick: Tick, seen: boolean): SiteChange {
  return (site) => {
    const others = (site.ticks ?? []).filter(
      ({ stretch, item }) => stretch !== tick.stretch || item !== tick.item,
    );
    return { ...site, ticks: seen ? [...others, tick] : others };
  };
}

function replaced<T>(all: readonly T[], at: number, fields: Partial<T>): T[] {
  return all.map((each, place) => (place === at ? { ...each, ...fields } : each));
}
