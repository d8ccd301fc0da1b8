// Parts that sentences of several kinds have.
import { term } from "@/model/wording";
import { say } from "@/words/say";

export const AT = { length: "at", label: say("At") } as const;
export const RISE = { length: "rise", label: say("Rise") } as const;
export const FROM = { from: "turn" } as const;
export const AIR = {
  length: "clearance",
  label: say("Air over it"),
  placeholder: say("usual"),
} as const;
export const NO_AIR = { ...AIR, placeholder: say("no") } as const;
export const MARGIN = {
  length: "margin",
  label: term("connector/straight"),
  placeholder: say("usual"),
} as const;
