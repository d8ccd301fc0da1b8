// The fittings that the crew has measured.
import type { DocumentKind } from "./kind";

export const fittings = {
  at: "/api/fittings",
  called: "the crew's fittings",
  removed: null,
  path: null,
} as const satisfies DocumentKind;
