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
    "Something round, ",
    { length: "across", label: "Across" },
    " across, its middle at ",
    AT,
  ],
  quiet: [
    [
      "pass it ",
      { side: "out" },
      " with ",
      AIR,
      " air; stands ",
      { length: "height", label: "Height", placeholder: "as much" },
      " high",
      FROM,
    ],
  ],
};
