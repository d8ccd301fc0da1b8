// Over something round, with three bends.
import { term } from "@/model/wording";
import type { KindSpec } from "./kindSpec";
import { AT, FROM, NO_AIR, RISE } from "./parts";

const LABEL = term("saddle/three-bends");

export const saddle3: KindSpec<"saddle3"> = {
  label: LABEL,
  short: "3-bend",
  group: "bends",
  first: "rise",
  newLine: { kind: "saddle3", at: "", rise: "", toward: "out", angle: 45 },
  endsLeg: false,
  floats: ["at", "rise"],
  name: "Which pipe is to be crossed?",
  sentence: ["Over ", RISE, " across, at ", AT, ", going ", { side: "left" }],
  quiet: [[LABEL, " at ", { angle: 45 }, ", ", NO_AIR, " air", FROM]],
};
