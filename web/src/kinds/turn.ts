// A turn at a face or a corner.
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";
import { DATUM } from "./words";

export const turn: KindSpec<"turn"> = {
  label: "Turn",
  group: "bends",
  first: "at",
  newLine: { kind: "turn", at: "", of: "back", from: "back", toward: "left", angle: 90 },
  endsLeg: true,
  floats: ["at", "angle"],
  name: "Which face or corner?",
  sentence: [
    "Turn ",
    { side: "left" },
    " at ",
    AT,
    " to its ",
    { word: "of", label: "Measured to", words: DATUM, usual: "back" },
  ],
  quiet: [["bend of ", { angle: 90 }, FROM]],
};
