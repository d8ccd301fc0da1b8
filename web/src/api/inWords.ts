// Where something is, as a person calls it: what the server names by its path in a document.
import { say } from "@/words/say";
import { sentence } from "@/words/text";

const ROWS: Readonly<Record<string, string>> = {
  boxes: say("box"),
  cables: say("cable"),
  circuits: say("circuit"),
  conductors: say("conductor"),
  corners: say("corner"),
  entries: say("entry"),
  feeds: say("feed"),
  fittings: say("fitting"),
  lines: say("line of holes"),
  offcuts: say("offcut"),
  openings: say("opening"),
  pieces: say("piece"),
  places: say("place"),
  runs: say("run"),
  rows: say("row"),
  stances: say("bend's place"),
  tests: say("test"),
  trenches: say("trench"),
  walk: say("line"),
  ways_out: say("way out"),
};

const FIELDS: Readonly<Record<string, string>> = {
  archive: say("the job's file"),
  at: say("where it is"),
  dxf: say("the drawing"),
  from_knockout: say("the knockout that it leaves by"),
  to_knockout: say("the knockout that it comes in by"),
  jpeg: say("the picture"),
  job_id: say("the job"),
  line: say("its line"),
  most_straight_m: say("the longest straight pull"),
  picture: say("the picture"),
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
  return place
    ? say("{place}: expected {expected}", { place, expected })
    : say("Expected {expected}", { expected });
}

function inside(at: unknown, name: string): unknown {
  return typeof at === "object" && at !== null ? (at as Record<string, unknown>)[name] : undefined;
}

function named(row: unknown): string {
  const { name, from, to } = (row ?? {}) as Record<string, unknown>;
  if (typeof name === "string" && name.trim()) {
    return name;
  }
  return typeof from === "string" && typeof to === "string" && from && to
    ? say("{from} to {to}", { from, to })
    : "";
}
