// A bender of the crew's own.
import { say } from "@/words/say";
import type { DocumentKind } from "./kind";

export const bender = {
  at: "/api/benders/{bender_id}",
  called: say("the bender"),
  removed: null,
  path: null,
} as const satisfies DocumentKind;
