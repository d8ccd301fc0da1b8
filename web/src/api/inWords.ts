// Where something is, as a person calls it: what the server names by its path in a document.
import { sentence } from "@/words/text";

const ROWS: Readonly<Record<string, string>> = {
  boxes: "box",
  cables: "cable",
  circuits: "circuit",
  conductors: "conductor",
  corners: "corner",
  entries: "entry",
  feeds: "feed",
  fittings: "fitting",
  lines: "line of holes",
  offcuts: "offcut",
  openings: "opening",
  pieces: "piece",
  places: "place",
  runs: "run",
  rows: "row",
  stances: "bend's place",
  tests: "test",
  trenches: "trench",
  walk: "line",
  ways_out: "way out",
};

const FIELDS: Readonly<Record<string, string>> = {
  archive: "the job's file",
  at: "where it is",
  dxf: "the drawing",
  from_knockout: "the knockout that it leaves by",
  to_knockout: "the knockout that it comes in by",
  jpeg: "the picture",
  job_id: "the job",
  line: "its line",
  most_straight_m: "the longest straight pull",
  picture: "the picture",
  text: "",
};

/** A path of a document (`boxes[1].stud`) in words (`Box B, stud`); of the document that it is in,
 * where that is at hand, its rows are called by their names. */
export function placeInWords(path: string, document?: unknown): string {
  const parts: string[] = [];
  let at: unknown = document;
  for (const [, name = "", index] of path.matchAll(/([^.[\]]+)(?:\[(\d+)\])?/g)) {
    at = inside(at, name);
    if (index === undefined) {
      parts.push(FIELDS[name] ?? name.replaceAll("_", " "));
    } else {
      at = inside(at, index);
      const row = ROWS[name] ?? `${name.replaceAll("_", " ")},`;
      parts.push(`${row} ${named(at) || Number(index) + 1}`);
    }
  }
  return sentence(parts.filter(Boolean).join(", "));
}

/** What was expected at a place, as a sentence. */
export function expectedInWords(path: string, expected: string, document?: unknown): string {
  const place = placeInWords(path, document);
  return place ? `${place}: expected ${expected}` : `Expected ${expected}`;
}

function inside(at: unknown, name: string): unknown {
  return typeof at === "object" && at !== null ? (at as Record<string, unknown>)[name] : undefined;
}

function named(row: unknown): string {
  const { name, from, to } = (row ?? {}) as Record<string, unknown>;
  if (typeof name === "string" && name.trim()) {
    return name;
  }
  return typeof from === "string" && typeof to === "string" && from && to ? `${from} to ${to}` : "";
}
