// Over something wide, with four bends.
import { term } from "@/model/wording";
import type { KindSpec } from "./kindSpec";
import { AT, FROM, NO_AIR, RISE } from "./parts";

const LABEL = term("saddle/four-bends");

export const saddle4: KindSpec<"saddle4"> = {
  label: LABEL,
  short: "4-bend",
  group: "bends",
  first: "rise",
  newLine: { kind: "saddle4", at: "", width: "", rise: "", toward: "out", angle: 30 },
  endsLeg: false,
  floats: ["at", "width", "rise"],
  name: "What is to be crossed?",
  sentence: [
    "Over ",
    RISE,
    " high, ",
    { length: "width", label: "Width" },
    " wide, from ",
    AT,
    ", going ",
    { side: "left" },
  ],
  quiet: [[LABEL, " at ", { angle: 30 }, ", ", NO_AIR, " air", FROM]],
};
