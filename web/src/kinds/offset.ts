// A step aside: what is in the way, held fully over, from its face or about its middle.
import { term } from "@/model/wording";
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
  name: "What is in the way?",
  sentence: [
    "Step ",
    { side: "left" },
    " by ",
    RISE,
    " ",
    { own: "offset-angle" },
    ", ",
    { word: "of", label: "Held", words: HOLD, usual: "full" },
    " ",
    AT,
  ],
  quiet: [[term("offset"), FROM]],
};
