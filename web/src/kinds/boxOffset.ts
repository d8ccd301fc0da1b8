// The small offset at a box, by its bends.
import { term } from "@/model/wording";
import type { KindSpec } from "./kindSpec";
import { MARGIN, RISE } from "./parts";

export const boxOffset: KindSpec<"box_offset"> = {
  label: term("box-offset/title"),
  group: "bends",
  first: "rise",
  newLine: { kind: "box_offset", where: "start", rise: "", toward: "in", angle: 10 },
  endsLeg: false,
  floats: ["rise"],
  name: "Knockout off the wall",
  sentence: ["Step ", { side: "left" }, " by ", RISE, " at the ", { value: "where" }, " box"],
  quiet: [[term("box-offset"), " at ", { angle: 10 }, ", ", MARGIN, " of straight"]],
};
