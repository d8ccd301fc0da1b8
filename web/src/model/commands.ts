// Every change that a person can make to a run, as a function from document to document.
import type { Line, RunDocument } from "./document";
import { looseOf, walkOf } from "./document";
import { withoutUndefined } from "./without";

export type Change = (document: RunDocument) => RunDocument;

export function set<K extends keyof RunDocument>(
  key: K,
  value: RunDocument[K] | undefined,
): Change {
  return (document) => ({ ...document, [key]: value });
}

export function setLine(index: number, fields: Record<string, unknown>): Change {
  return withWalk((walk) =>
    walk.map((line, at) => (at === index ? ({ ...line, ...fields } as Line) : line)),
  );
}

type Start = NonNullable<RunDocument["start"]>;

/** Something else of the start; `undefined`: it is not said any more. */
export function setStart(fields: { [K in keyof Start]?: Start[K] | undefined }): Change {
  return (document) => {
    const start = withoutUndefined<Start>({ kind: "open", ...document.start, ...fields });
    return { ...document, start };
  };
}

/** Where a new line goes: what is at the start first, all else before the end. */
export function placeOf(line: Line, walk: readonly Line[]): number {
  return "where" in line ? 0 : Math.max(walk.length - 1, 0);
}

/** A new end takes the place of the one there is. */
export function addLine(line: Line): Change {
  return withWalk((walk) => walk.toSpliced(placeOf(line, walk), line.kind === "end" ? 1 : 0, line));
}

/** Take what was picked for a line; a picked angle takes the place of a length to fit into. */
export function pick(path: string, value: string | number): Change {
  return (document) => {
    const [, index, field] = path.match(LINE_FIELD) ?? [];
    const fields = field === "angle" ? { angle: value, within: undefined } : { pick: value };
    return setLine(Number(index), fields)(document);
  };
}

/** Where the bender is worked, and with what: what is not said stays as its kind usually is. */
export function setStance(fields: { [K in keyof Stance]?: Stance[K] | undefined }): Change {
  return (document) => {
    const kept = withoutUndefined<Stance>({ ...document.stance, ...fields });
    return set("stance", Object.keys(kept).length > 0 ? kept : undefined)(document);
  };
}

type Stance = NonNullable<RunDocument["stance"]>;

/** Where one bend is made, counted along the pipe; `undefined`: as the rest of the piece. */
export function setBendStance(bend: number, place: Place | undefined): Change {
  return (document) => {
    const others = (document.stances ?? []).filter((each) => each.bend !== bend);
    const kept = place ? [...others, { bend, place }] : others;
    return set("stances", kept.length > 0 ? kept : undefined)(document);
  };
}

export type Place = NonNullable<NonNullable<RunDocument["stances"]>[number]["place"]>;

/** Make the bends in this order: the plan's marks follow it. `undefined`: in the usual one. */
export function takeOrder(order: RunDocument["order"]): Change {
  return set("order", order && [...order]);
}

/** Let a number of a line float until both ends meet, or hold it again. */
export function setLoose(index: number, field: string, loose: boolean): Change {
  return withWalk((walk) =>
    walk.map((line, at) => {
      if (at !== index) {
        return line;
      }
      const others = looseOf(line).filter((name) => name !== field);
      const { loose: _, ...rest } = line as Line & { loose?: string[] };
      const kept = loose ? [...others, field] : others;
      return (kept.length > 0 ? { ...rest, loose: kept } : rest) as Line;
    }),
  );
}

export function removeLine(index: number): Change {
  return withWalk((walk) => walk.filter((_, at) => at !== index));
}

export function duplicateLine(index: number): Change {
  return withWalk((walk) =>
    walk.flatMap((line, at) => (at === index ? [line, { ...line }] : line)),
  );
}

/** Swap a line with its neighbour; the end stays last. */
export function moveLine(index: number, by: -1 | 1): Change {
  return withWalk((walk) => {
    const to = index + by;
    const line = walk[index];
    if (!line || to < 0 || to >= walk.length - 1 || index >= walk.length - 1) {
      return [...walk];
    }
    const moved = walk.filter((_, at) => at !== index);
    moved.splice(to, 0, line);
    return moved;
  });
}

/** What a finding's touch does: one value at one path, such as `walk[1].angle`. */
export function setAtPath(path: string, value: string | number | string[]): Change {
  const [, index, field] = path.match(LINE_FIELD) ?? [];
  if (index !== undefined && field !== undefined) {
    return setLine(Number(index), { [field]: value });
  }
  const [, within] = path.match(RACK_FIELD) ?? [];
  if (within !== undefined) {
    return (document) =>
      document.rack ? { ...document, rack: { ...document.rack, [within]: value } } : document;
  }
  const [, joint] = path.match(JOINT_PLACE) ?? [];
  if (joint !== undefined) {
    return (document) => {
      const places = document.joints?.places?.map((each, at) =>
        at === Number(joint) ? { ...each, at: value as string } : each,
      );
      return places ? { ...document, joints: { ...document.joints, places } } : document;
    };
  }
  return (document) => ({ ...document, [path]: value });
}

const JOINT_PLACE = /^joints\.places\[(\d+)\]\.at$/;
const RACK_FIELD = /^rack\.(\w+)$/;
const LINE_FIELD = /^walk\[(\d+)\]\.(\w+)$/;

function withWalk(change: (walk: readonly Line[]) => Line[]): Change {
  return (document) => ({ ...document, walk: change(walkOf(document)) });
}
