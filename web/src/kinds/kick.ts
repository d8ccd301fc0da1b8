// A kick: the pipe leans until what comes next.
import type { KindSpec } from "./kindSpec";
import { AT, FROM, RISE } from "./parts";

export const kick: KindSpec<"kick"> = {
  label: "Kick",
  group: "bends",
  first: "rise",
  newLine: { kind: "kick", at: "", rise: "", toward: "in" },
  endsLeg: false,
  floats: ["at", "rise"],
  name: "What is it to reach?",
  sentence: ["Lean ", { side: "left" }, " by ", RISE, ", starting at ", AT],
  quiet: [["kick, until what comes next", FROM]],
};
