// Over something wide, with four bends.
import { term } from "@/model/wording";
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM, NO_AIR, RISE } from "./parts";

const LABEL = term("saddle/four-bends");

export const saddle4: KindSpec<"saddle4"> = {
  label: LABEL,
  short: say("4-bend"),
  group: "bends",
  first: "rise",
  newLine: { kind: "saddle4", at: "", width: "", rise: "", toward: "out", angle: 30 },
  endsLeg: false,
  floats: ["at", "width", "rise"],
  name: say("What is to be crossed?"),
  sentence: sayParts("Over {rise} high, {width} wide, from {at}, going {side}", {
    rise: RISE,
    width: { length: "width", label: say("Width") },
    at: AT,
    side: { side: "left" },
  }),
  quiet: [
    sayParts("{label} at {angle}, {air} air{from}", {
      label: LABEL,
      angle: { angle: 30 },
      air: NO_AIR,
      from: FROM,
    }),
  ],
};
