// Parts that sentences of several kinds have.
import { term } from "@/model/wording";

export const AT = { length: "at", label: "At" } as const;
export const RISE = { length: "rise", label: "Rise" } as const;
export const FROM = { from: "turn" } as const;
export const AIR = { length: "clearance", label: "Air over it", placeholder: "usual" } as const;
export const NO_AIR = { ...AIR, placeholder: "no" } as const;
export const MARGIN = {
  length: "margin",
  label: term("connector/straight"),
  placeholder: "usual",
} as const;
