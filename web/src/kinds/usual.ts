// What of a line is as it usually is: that need not be in sight.
import type { Line } from "@/model/document";
import type { Words } from "@/model/wording";
import type { OwnPart, Part } from "./kindSpec";

/** Whether all that a row of a sentence says is as it usually is. */
export function rowIsUsual(parts: readonly Part[], line: Line): boolean {
  return parts.every((part) => isWords(part) || isUsual(part, line));
}

/** Whether a part is words alone, and no field. */
export function isWords(part: Part): part is Words {
  return typeof part === "string" || "term" in part;
}

function isUsual(part: Exclude<Part, Words>, line: Line): boolean {
  const fields: Record<string, unknown> = line;
  const is = (field: string, usual?: unknown) =>
    fields[field] === undefined || fields[field] === "" || fields[field] === usual;
  if ("length" in part) {
    return is(part.length);
  }
  if ("word" in part) {
    return is(part.word, part.usual);
  }
  if ("side" in part) {
    return is("toward", part.side);
  }
  if ("angle" in part) {
    return is("angle", part.angle);
  }
  if ("from" in part) {
    return is("from", "back");
  }
  const own = "own" in part ? OWN_FIELDS[part.own] : null;
  return own === null || is(own);
}

/** The field that says whether a part of several is used; null where that is said of the whole run. */
const OWN_FIELDS: Record<OwnPart, string | null> = {
  "offset-angle": "angle",
  "end-box": "box",
  "end-held": null,
  "fixed-end": "meet",
};
