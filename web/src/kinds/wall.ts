// A wall to turn at: or a floor, or a ceiling.
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { AT, FROM } from "./parts";

export const wall: KindSpec<"wall"> = {
  label: say("A wall to turn at"),
  group: "there",
  hint: say("or a floor, or a ceiling"),
  first: "at",
  newLine: { kind: "wall", at: "", toward: "left" },
  endsLeg: true,
  floats: [],
  name: say("Which wall?"),
  sentence: sayParts("A wall at {at}: go {side}", { at: AT, side: { side: "left" } }),
  quiet: [sayParts("turned by {angle}{from}", { angle: { angle: 90 }, from: FROM })],
};
