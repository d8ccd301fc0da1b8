// What a person can change of a framed wall, as functions from document to document.
import type { Schemas } from "@/api/client";
import DECLARED from "@/documents/references.json";
import { say } from "@/words/say";
import { followed, type Reference } from "./references";
import type { PlacedOnWall } from "./wallPlaces";

export type WallDocument = Schemas["WallDocument"];
export type WallBox = WallDocument["boxes"][number];
export type HoleLine = WallDocument["lines"][number];
export type Feed = NonNullable<WallDocument["feeds"]>[number];
export type Opening = NonNullable<WallDocument["openings"]>[number];
export type WayOut = NonNullable<WallDocument["ways_out"]>[number];
export type WallCorner = NonNullable<WallDocument["corners"]>[number];
type Change = (wall: WallDocument) => WallDocument;

/** A wall to begin with: as framed walls usually are, with nothing in it. */
export function newWall(units: "in" | "mm"): WallDocument {
  const us = units === "in";
  return {
    format: "yarrow.wall/1",
    name: say("New wall"),
    units,
    conduit: us ? { type: "emt", size: "1/2" } : { type: "plastic", size: "20" },
    bender: us ? "hand-emt-1/2" : "heat-form-metric",
    length: us ? "16'" : 4800,
    height: us ? "8'" : 2400,
    studs: {},
    boxes: [],
    lines: [{ name: "A", height: us ? 40 : 1000 }],
    feeds: [],
  };
}

export function setWall(fields: Partial<WallDocument>): Change {
  return (wall) => ({ ...wall, ...fields });
}

export function setStuds(fields: Partial<WallDocument["studs"]>): Change {
  return (wall) => ({ ...wall, studs: { ...wall.studs, ...fields } });
}

/** Where the studs are spaced from; nothing: from a stud flush with the wall's end. */
export function spaceFrom(text: string): Change {
  return (wall) => {
    const { first: _, ...studs } = wall.studs;
    return { ...wall, studs: text.trim() === "" ? studs : { ...studs, first: text } };
  };
}

/** Studs that are said one by one, between commas; none: as they are spaced. */
export function placeStuds(text: string): Change {
  return (wall) => {
    const at = text
      .split(",")
      .map((middle) => middle.trim())
      .filter((middle) => middle !== "");
    const { at: _, ...spaced } = wall.studs;
    return { ...wall, studs: at.length > 0 ? { ...spaced, at } : spaced };
  };
}

/** A box more, on the next stud that has none; `studs`: those there are, where that is known. */
export function addBox(studs: readonly number[] = []): Change {
  return (wall) => {
    const taken = wall.boxes.map(({ stud }) => Number(stud));
    const after = Math.max(1, ...taken);
    const free = studs.filter((stud) => stud > 1 && !taken.includes(stud));
    const stud = free.find((each) => each > after) ?? free[0] ?? after + (studs.length > 0 ? 0 : 1);
    return withBox(wall, { stud, height: wall.units === "in" ? 16 : 400 });
  };
}

/** A box more, where the wall was tapped. */
export function addBoxAt(placed: PlacedOnWall): Change {
  return (wall) => withBox(wall, { ...placed, to: "top" });
}

function withBox(
  wall: WallDocument,
  placed: Pick<WallBox, "height"> & Partial<WallBox>,
): WallDocument {
  const kind = wall.units === "in" ? "square" : "single";
  const box = { name: unused(say("Box"), wall.boxes), kind, ...placed };
  return { ...wall, boxes: [...wall.boxes, box] };
}

type Named = "boxes" | "ways_out" | "lines" | "openings";

/** What of a wall names something else of it. A feed whose line is gone goes along any. */
const REFERENCES = DECLARED.wall as readonly Reference<Named | "feeds">[];

/** An entry of a list with other fields; what names it follows. */
function changed(list: Named, at: number, fields: { readonly name?: string }): Change {
  return (wall) => {
    const all: readonly { readonly name: string }[] = wall[list] ?? [];
    const next = { ...wall, [list]: replaced(all, at, fields) };
    return followed(next, REFERENCES, list, all[at]?.name, fields.name);
  };
}

/** A list without an entry; what names it follows. */
function without(list: Named, at: number): Change {
  return (wall) => {
    const all: readonly { readonly name: string }[] = wall[list] ?? [];
    const next = { ...wall, [list]: all.toSpliced(at, 1) };
    return followed(next, REFERENCES, list, all[at]?.name, null);
  };
}

export function setBox(at: number, fields: Partial<WallBox>): Change {
  return changed("boxes", at, fields);
}

function replaced<T>(all: readonly T[], at: number, fields: Partial<T>): T[] {
  return all.map((each, place) => (place === at ? { ...each, ...fields } : each));
}

export function addOpening(): Change {
  return (wall) => {
    const us = wall.units === "in";
    const openings = wall.openings ?? [];
    const opening = {
      name: unused(say("Opening"), openings),
      begins: us ? 48 : 1200,
      width: us ? 32 : 800,
    };
    return { ...wall, openings: [...openings, opening] };
  };
}

export function setOpening(at: number, fields: Partial<Opening>): Change {
  return changed("openings", at, fields);
}

export function removeOpening(at: number): Change {
  return without("openings", at);
}

export function addCorner(): Change {
  return (wall) => ({
    ...wall,
    corners: [...(wall.corners ?? []), { at: wall.units === "in" ? 96 : 2400, turns: "inside" }],
  });
}

export function setCorner(at: number, fields: Partial<WallCorner>): Change {
  return (wall) => ({ ...wall, corners: replaced(wall.corners ?? [], at, fields) });
}

export function removeCorner(at: number): Change {
  return (wall) => ({ ...wall, corners: (wall.corners ?? []).toSpliced(at, 1) });
}

export function addWayOut(): Change {
  return (wall) => {
    const out: WayOut = { name: unused(say("Ceiling"), wall.ways_out ?? []), plate: "top" };
    return { ...wall, ways_out: [...(wall.ways_out ?? []), out] };
  };
}

export function setWayOut(at: number, fields: Partial<WayOut>): Change {
  return changed("ways_out", at, fields);
}

/** Where it goes up along the wall; empty: straight over its box. */
export function placeWayOut(at: number, place: string): Change {
  return (wall) => {
    const outs = (wall.ways_out ?? []).map((out, number) => {
      if (number !== at) {
        return out;
      }
      const { at: _, ...others } = out;
      return place ? { ...others, at: place } : others;
    });
    return { ...wall, ways_out: outs };
  };
}

export type BoxSize = "width" | "tall" | "deep";

/** How large a box of no kind is; empty: as is usual. */
export function sizeBox(at: number, size: BoxSize, text: string): Change {
  return (wall) => {
    const boxes = wall.boxes.map((box, number) => {
      if (number !== at) {
        return box;
      }
      const { [size]: _, ...others } = box;
      return text ? { ...others, [size]: text } : others;
    });
    return { ...wall, boxes };
  };
}

export function removeWayOut(at: number): Change {
  return without("ways_out", at);
}

export function removeBox(at: number): Change {
  return without("boxes", at);
}

export function addLine(): Change {
  return (wall) => {
    const line = { name: unused(say("Line"), wall.lines), height: wall.units === "in" ? 72 : 1800 };
    return { ...wall, lines: [...wall.lines, line] };
  };
}

export function setLine(at: number, fields: Partial<HoleLine>): Change {
  return changed("lines", at, fields);
}

export function removeLine(at: number): Change {
  return without("lines", at);
}

export function addFeed(from: string, to: string): Change {
  return (wall) => ({
    ...wall,
    feeds: [...(wall.feeds ?? []), { from, to, line: wall.lines[0]?.name ?? "", key: newKey() }],
  });
}

export function setFeed(at: number, fields: Partial<Feed>): Change {
  return (wall) => ({
    ...wall,
    feeds: replaced(wall.feeds ?? [], at, fields),
  });
}

export function removeFeed(at: number): Change {
  return (wall) => ({ ...wall, feeds: (wall.feeds ?? []).toSpliced(at, 1) });
}

/** A key that no other feed has, whatever the feed's boxes are called: its run goes by it. */
function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, "0")).join("");
}

/** ``Box 3``: a name that none has yet. */
function unused(word: string, named: readonly { readonly name: string }[]): string {
  let number = named.length + 1;
  while (named.some(({ name }) => name === `${word} ${number}`)) {
    number += 1;
  }
  return `${word} ${number}`;
}
