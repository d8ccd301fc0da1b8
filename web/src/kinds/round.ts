// Something round to cross: a pipe, or a cable.
import type { KindSpec } from "./kindSpec";
import { AIR, AT, FROM } from "./parts";

export const round: KindSpec<"round"> = {
  label: "Something round",
  group: "there",
  hint: "a pipe or a cable to cross",
  first: "across",
  newLine: { kind: "round", across: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: "Which pipe or cable?",
  sentence: [
    ...(["Something round, ", { length: "across", label: "Across" }] as const),
    ...([" across, its middle at ", AT] as const),
  ],
  quiet: [
    [
      ...(["pass it ", { side: "out" }, " with ", AIR, " air; stands "] as const),
      ...([{ length: "height", label: "Height", placeholder: "as much" }, " high", FROM] as const),
    ],
  ],
};
