// The fittings that the crew has measured.
import { say } from "@/words/say";
import type { DocumentKind } from "./kind";

export const fittings = {
  at: "/api/fittings",
  called: say("the crew's fittings"),
  removed: null,
  path: null,
} as const satisfies DocumentKind;
