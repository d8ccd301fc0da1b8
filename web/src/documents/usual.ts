// What stands for a field of a document that says nothing: the core's own, as its schemas have it.
import USUAL from "./usual.json";

type Units = "in" | "mm";
type Usual = typeof USUAL;

/** By format and part of it: `usual("wall", "studs", "in").spacing`. */
export function usual<F extends keyof Usual, P extends keyof Usual[F]>(
  format: F,
  part: P,
  units: Units,
): { readonly [Field in keyof Usual[F][P]]: string | number } {
  const fields = Object.entries(USUAL[format][part] as Record<string, Record<Units, unknown>>);
  const found = fields.map(([field, by]) => [field, by[units]]);
  return Object.fromEntries(found) as { [Field in keyof Usual[F][P]]: string | number };
}
