// Something square to cross: a duct, a beam, a tray.
import type { KindSpec } from "./kindSpec";
import { AIR, AT, FROM } from "./parts";

export const block: KindSpec<"block"> = {
  label: "Something square",
  group: "there",
  hint: "a duct, a beam, a tray",
  first: "width",
  newLine: { kind: "block", width: "", height: "", at: "", toward: "out" },
  endsLeg: false,
  floats: [],
  name: "Which duct or beam?",
  sentence: [
    "Something square, ",
    { length: "width", label: "Width" },
    " wide, ",
    { length: "height", label: "Height" },
    " high, from ",
    AT,
  ],
  quiet: [["pass it ", { side: "out" }, " with ", AIR, " air", FROM]],
};
