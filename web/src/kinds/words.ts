// The trade's words for what the contract names in short.
import type { Datum, FittingKind, Mark, Toward } from "@/model/document";

export const TOWARD = {
  left: "left",
  right: "right",
  out: "out",
  in: "in",
} as const satisfies Record<Toward, string>;

export const DATUM = {
  back: "back",
  centre: "centre",
  inside: "inside",
} as const satisfies Record<Datum, string>;

export const FITTING = {
  open: "open end",
  connector: "box connector",
  coupling: "coupling",
  hub: "hub",
  running_coupler: "running coupler",
  union: "union",
  socket: "socket",
} as const satisfies Record<FittingKind, string>;

export const HOLD = {
  full: "fully over by",
  begin: "beginning at",
  centre: "centred on",
} as const;

export const REFERENCE = {
  front: "front",
  back: "back",
  centre: "centre",
  former: "former",
  square: "square",
} as const satisfies Record<Mark["reference"], string>;

export const FIELD = {
  at: "at",
  rise: "rise",
  width: "width",
  angle: "angle",
  allowance: "allowance",
} as const;
