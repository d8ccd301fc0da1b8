// What a quick check begins with.
import type { FillDocument } from "@/model/wires";

export const FIRST: Readonly<Record<"conduit" | "trunking", FillDocument>> = {
  conduit: {
    format: "yarrow.fill/1",
    method: "area",
    units: "in",
    conduit: { type: "emt", size: "1/2" },
    conductors: [{ count: 9, insulation: "thhn", size: "12" }],
  },
  trunking: {
    format: "yarrow.fill/1",
    method: "space",
    units: "mm",
    trunking: { width: "50", height: "50" },
    conductors: [{ count: 24, csa: 2.5, build: "stranded" }],
  },
};
