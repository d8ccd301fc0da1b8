// Where the walk ends: its fitting, its box, and its place where it is fixed.
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";

export const end: KindSpec<"end"> = {
  label: "End",
  group: "none",
  first: "at",
  newLine: { kind: "end", at: "" },
  endsLeg: false,
  floats: ["at"],
  name: "Which box?",
  sentence: ["End at a ", { fitting: "fitting", label: "Fitting at the end" }, " at ", AT],
  quiet: [
    [
      "pipe beyond its face ",
      { length: "allowance", label: "Pipe beyond the end's face", placeholder: "by fitting" },
      FROM,
    ],
    [{ own: "end-box" }],
    [{ own: "end-held" }],
    [{ own: "fixed-end" }],
  ],
};
