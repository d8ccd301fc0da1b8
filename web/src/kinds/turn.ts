// A turn at a face or a corner.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";
import { DATUM } from "./words";

export const turn: KindSpec<"turn"> = {
  label: say("Turn"),
  group: "bends",
  first: "at",
  newLine: { kind: "turn", at: "", of: "back", from: "back", toward: "left", angle: 90 },
  endsLeg: true,
  floats: ["at", "angle"],
  name: say("Which face or corner?"),
  sentence: sayParts("Turn {side} at {at} to its {of}", {
    side: { side: "left" },
    at: AT,
    of: { word: "of", label: say("Measured to"), words: DATUM, usual: "back" },
  }),
  quiet: [sayParts("bend of {angle}{from}", { angle: { angle: 90 }, from: FROM })],
};
