// A hole to pass, bored a little aside.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";

export const hole: KindSpec<"hole"> = {
  label: say("A hole to pass"),
  group: "there",
  hint: say("bored a little aside"),
  first: "at",
  newLine: { kind: "hole", depth: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: say("Which hole?"),
  sentence: sayParts("A hole at {at}, its middle {depth} {side}", {
    at: AT,
    depth: { length: "depth", label: say("Depth") },
    side: { side: "out" },
  }),
  quiet: [sayParts("off the line of the pipe{from}", { from: FROM })],
};
