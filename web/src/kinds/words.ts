// The trade's words for what the contract names in short.
import type { BenderKind, Datum, FittingKind, LineKind, Toward, Way } from "@/model/document";

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

export const FIELD = {
  at: "place",
  rise: "rise",
  width: "width",
  depth: "depth",
  angle: "angle",
  allowance: "allowance",
} as const;

/** The numbers of each kind of line that may float, by field. */
export const FLOATING = {
  offset: ["at", "rise"],
  turn: ["at", "angle"],
  saddle3: ["at", "rise"],
  saddle4: ["at", "width", "rise"],
  kick: ["at", "rise"],
  box_offset: ["rise"],
  end: ["at"],
} as const satisfies Partial<Record<LineKind, readonly (keyof typeof FIELD)[]>>;

/** What kinds of bends are called where they are compared. */
export const BENDS = {
  offset: "Offset",
  saddle3: "3-bend saddle",
  saddle4: "4-bend saddle",
  kick: "Kick",
  box_offset: "Box offset",
  turn: "Turn",
  straight: "Straight on",
} as const;

/** The same where there is little room. */
export const BENDS_IN_SHORT = {
  ...BENDS,
  saddle3: "3-bend",
  saddle4: "4-bend",
} as const satisfies Record<keyof typeof BENDS, string>;

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
