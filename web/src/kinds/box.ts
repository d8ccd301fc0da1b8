// A box whose knockout stands off the wall.
import { term } from "@/model/wording";
import { say, sayParts } from "@/words/say";
import type { KindSpec } from "./kindSpec";
import { MARGIN } from "./parts";

export const box: KindSpec<"box"> = {
  label: say("A box off the wall"),
  group: "there",
  hint: say("its knockout, at the start"),
  first: "knockout",
  newLine: { kind: "box", where: "start", knockout: "" },
  endsLeg: false,
  floats: [],
  name: say("Which box?"),
  sentence: sayParts("The {where} box has its knockout {knockout} off the wall", {
    where: { value: "where" },
    knockout: { length: "knockout", label: say("Knockout off the wall") },
  }),
  quiet: [
    sayParts("{margin} of straight for the {connector}", {
      margin: MARGIN,
      connector: term("connector"),
    }),
  ],
};
