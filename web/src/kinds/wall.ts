// A wall to turn at: or a floor, or a ceiling.
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";

export const wall: KindSpec<"wall"> = {
  label: "A wall to turn at",
  group: "there",
  hint: "or a floor, or a ceiling",
  first: "at",
  newLine: { kind: "wall", at: "", toward: "left" },
  endsLeg: true,
  floats: [],
  name: "Which wall?",
  sentence: ["A wall at ", AT, ": go ", { side: "left" }],
  quiet: [["turned by ", { angle: 90 }, FROM]],
};
