// The trade's words for what the contract names in short.
import type { BenderKind, Datum, Marking, Toward, Way } from "@/model/document";
import { say } from "@/words/say";

export const TOWARD = {
  left: say("left"),
  right: say("right"),
  out: say("out"),
  in: say("in"),
} as const satisfies Record<Toward, string>;

export const DATUM = {
  back: say("back"),
  centre: say("centre"),
  inside: say("inside"),
} as const satisfies Record<Datum, string>;

export const HOLD = {
  full: say("fully over by"),
  begin: say("beginning at"),
  centre: say("centred on"),
} as const;

export const FIELD = {
  at: say("place"),
  rise: say("rise"),
  width: say("width"),
  depth: say("depth"),
  angle: say("angle"),
  allowance: say("allowance"),
} as const;

export const WAY = {
  mark: say("Marks"),
  bench: say("Former"),
  chart: say("Chart"),
} as const satisfies Record<Way, string>;

export const MARKING = {
  flat: say("all flat"),
  "as-you-go": say("as you go"),
} as const satisfies Record<Marking, string>;

export const BENDER_KIND = {
  hand: say("hand bender"),
  ratchet: say("ratchet bender"),
  mechanical: say("mechanical bender"),
  powered: say("powered bender"),
  bench: say("bench machine"),
  heat: say("heat and a form"),
} as const satisfies Record<BenderKind, string>;
