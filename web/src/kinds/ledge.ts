// A step, where the pipe stays up.
import type { KindSpec } from "./kindSpec";
import { AT, FROM, NO_AIR } from "./parts";

export const ledge: KindSpec<"ledge"> = {
  label: "A ledge",
  group: "there",
  hint: "a step, where the pipe stays up",
  first: "height",
  newLine: { kind: "ledge", height: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: "Which ledge or plinth?",
  sentence: ["A step of ", { length: "height", label: "Height" }, ", its face at ", AT],
  quiet: [["up it ", { side: "out" }, " and stay, with ", NO_AIR, " air", FROM]],
};
