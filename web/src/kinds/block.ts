// Something square to cross: a duct, a beam, a tray.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AIR, AT, FROM } from "./parts";

export const block: KindSpec<"block"> = {
  label: say("Something square"),
  group: "there",
  hint: say("a duct, a beam, a tray"),
  first: "width",
  newLine: { kind: "block", width: "", height: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: say("Which duct or beam?"),
  sentence: sayParts("Something square, {width} wide, {height} high, from {at}", {
    width: { length: "width", label: say("Width") },
    height: { length: "height", label: say("Height") },
    at: AT,
  }),
  quiet: [
    sayParts("pass it {side} with {air} air{from}", {
      side: { side: "out" },
      air: AIR,
      from: FROM,
    }),
  ],
};
