// A step aside: what is in the way, held fully over, from its face or about its middle.
import { term } from "@/model/wording";
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM, RISE } from "./parts";
import { HOLD } from "./words";

export const offset: KindSpec<"offset"> = {
  label: term("offset/title"),
  group: "bends",
  first: "rise",
  newLine: { kind: "offset", at: "", of: "full", rise: "", toward: "left", angle: 30 },
  endsLeg: false,
  floats: ["at", "rise"],
  name: say("What is in the way?"),
  sentence: sayParts("Step {side} by {rise} {angle}, {of} {at}", {
    side: { side: "left" },
    rise: RISE,
    angle: { own: "offset-angle" },
    of: { word: "of", label: say("Held"), words: HOLD, usual: "full" },
    at: AT,
  }),
  quiet: [[term("offset"), FROM]],
};
