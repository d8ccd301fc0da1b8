// A step, where the pipe stays up.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM, NO_AIR } from "./parts";

export const ledge: KindSpec<"ledge"> = {
  label: say("A ledge"),
  group: "there",
  hint: say("a step, where the pipe stays up"),
  first: "height",
  newLine: { kind: "ledge", height: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: say("Which ledge or plinth?"),
  sentence: sayParts("A step of {height}, its face at {at}", {
    height: { length: "height", label: say("Height") },
    at: AT,
  }),
  quiet: [
    sayParts("up it {side} and stay, with {air} air{from}", {
      side: { side: "out" },
      air: NO_AIR,
      from: FROM,
    }),
  ],
};
