// A kick: the pipe leans until what comes next.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM, RISE } from "./parts";

export const kick: KindSpec<"kick"> = {
  label: say("Kick"),
  group: "bends",
  first: "rise",
  newLine: { kind: "kick", at: "", rise: "", toward: "in" },
  endsLeg: false,
  floats: ["at", "rise"],
  name: say("What is it to reach?"),
  sentence: sayParts("Lean {side} by {rise}, starting at {at}", {
    side: { side: "left" },
    rise: RISE,
    at: AT,
  }),
  quiet: [sayParts("kick, until what comes next{from}", { from: FROM })],
};
