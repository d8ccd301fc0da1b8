// Over something round, with three bends.
import { term } from "@/model/wording";
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM, NO_AIR, RISE } from "./parts";

const LABEL = term("saddle/three-bends");

export const saddle3: KindSpec<"saddle3"> = {
  label: LABEL,
  short: say("3-bend"),
  group: "bends",
  first: "rise",
  newLine: { kind: "saddle3", at: "", rise: "", toward: "out", angle: 45 },
  endsLeg: false,
  floats: ["at", "rise"],
  name: say("Which pipe is to be crossed?"),
  sentence: sayParts("Over {rise} across, at {at}, going {side}", {
    rise: RISE,
    at: AT,
    side: { side: "left" },
  }),
  quiet: [
    sayParts("{label} at {angle}, {air} air{from}", {
      label: LABEL,
      angle: { angle: 45 },
      air: NO_AIR,
      from: FROM,
    }),
  ],
};
