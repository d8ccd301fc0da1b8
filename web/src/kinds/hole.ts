// A hole to pass, bored a little aside.
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";

export const hole: KindSpec<"hole"> = {
  label: "A hole to pass",
  group: "there",
  hint: "bored a little aside",
  first: "at",
  newLine: { kind: "hole", depth: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: "Which hole?",
  sentence: [
    "A hole at ",
    AT,
    ", its middle ",
    { length: "depth", label: "Depth" },
    " ",
    { side: "out" },
  ],
  quiet: [["off the line of the pipe", FROM]],
};
