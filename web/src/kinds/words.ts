// The trade's words for what the contract names in short.
import type { BenderKind, Datum, Toward, Way } from "@/model/document";

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

export const HOLD = {
  full: "fully over by",
  begin: "beginning at",
  centre: "centred on",
} as const;

export const FIELD = {
  at: "place",
  rise: "rise",
  width: "width",
  depth: "depth",
  angle: "angle",
  allowance: "allowance",
} as const;

export const WAY = {
  mark: "Marks",
  bench: "Former",
  chart: "Chart",
} as const satisfies Record<Way, string>;

export const BENDER_KIND = {
  hand: "hand bender",
  ratchet: "ratchet bender",
  mechanical: "mechanical bender",
  powered: "powered bender",
  bench: "bench machine",
  heat: "heat and a form",
} as const satisfies Record<BenderKind, string>;
