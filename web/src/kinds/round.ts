// Something round to cross: a pipe, or a cable.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AIR, AT, FROM } from "./parts";

export const round: KindSpec<"round"> = {
  label: say("Something round"),
  group: "there",
  hint: say("a pipe or a cable to cross"),
  first: "across",
  newLine: { kind: "round", across: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: say("Which pipe or cable?"),
  sentence: sayParts("Something round, {across} across, its middle at {at}", {
    across: { length: "across", label: say("Across") },
    at: AT,
  }),
  quiet: [
    sayParts("pass it {side} with {air} air; stands {height} high{from}", {
      side: { side: "out" },
      air: AIR,
      height: { length: "height", label: say("Height"), placeholder: say("as much") },
      from: FROM,
    }),
  ],
};
