// Parts that sentences of several kinds have.

export const AT = { length: "at", label: "At" } as const;
export const RISE = { length: "rise", label: "Rise" } as const;
export const FROM = { from: "turn" } as const;
export const AIR = { length: "clearance", label: "Air over it", placeholder: "usual" } as const;
export const NO_AIR = { ...AIR, placeholder: "no" } as const;
export const MARGIN = {
  length: "margin",
  label: { us: "Straight left for the connector", uk: "Straight left for the gland or bush" },
  placeholder: "usual",
} as const;
