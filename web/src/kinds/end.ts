// Where the walk ends: its fitting, its box, and its place where it is fixed.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";

export const end: KindSpec<"end"> = {
  label: say("End"),
  group: "none",
  first: "at",
  newLine: { kind: "end", at: "" },
  endsLeg: false,
  floats: ["at"],
  name: say("Which box?"),
  sentence: sayParts("End at a {fitting} at {at}", {
    fitting: { fitting: "fitting", label: say("Fitting at the end") },
    at: AT,
  }),
  quiet: [
    sayParts("pipe beyond its face {allowance}{from}", {
      allowance: {
        length: "allowance",
        label: say("Pipe beyond the end's face"),
        placeholder: say("by fitting"),
      },
      from: FROM,
    }),
    [{ own: "end-box" }],
    [{ own: "end-held" }],
    [{ own: "fixed-end" }],
  ],
};
