// A box whose knockout stands off the wall.
import { term } from "@/model/wording";
import type { KindSpec } from "./kindSpec";
import { MARGIN } from "./parts";

export const box: KindSpec<"box"> = {
  label: "A box off the wall",
  group: "there",
  hint: "its knockout, at the start",
  first: "knockout",
  newLine: { kind: "box", where: "start", knockout: "" },
  endsLeg: false,
  floats: [],
  name: "Which box?",
  sentence: [
    "The ",
    { value: "where" },
    " box has its knockout ",
    { length: "knockout", label: "Knockout off the wall" },
    " off the wall",
  ],
  quiet: [[MARGIN, " of straight for the ", term("connector")]],
};
