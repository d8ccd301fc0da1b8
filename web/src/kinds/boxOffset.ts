// The small offset at a box, by its bends.
import { term } from "@/model/wording";
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { MARGIN, RISE } from "./parts";

export const boxOffset: KindSpec<"box_offset"> = {
  label: term("box-offset/title"),
  group: "bends",
  first: "rise",
  newLine: { kind: "box_offset", where: "start", rise: "", toward: "in", angle: 10 },
  endsLeg: false,
  floats: ["rise"],
  name: say("Knockout off the wall"),
  sentence: sayParts("Step {side} by {rise} at the {where} box", {
    side: { side: "left" },
    rise: RISE,
    where: { value: "where" },
  }),
  quiet: [
    sayParts("{boxOffset} at {angle}, {margin} of straight", {
      boxOffset: term("box-offset"),
      angle: { angle: 10 },
      margin: MARGIN,
    }),
  ],
};
