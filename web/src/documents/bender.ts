// A bender of the crew's own.
import type { DocumentKind } from "./kind";

export const bender = {
  at: "/api/benders/{bender_id}",
  called: "the bender",
  removed: null,
  path: null,
} as const satisfies DocumentKind;
