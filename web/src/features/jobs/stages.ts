// How far a run is, in order.
import type { Schemas } from "@/api/client";

export type Stage = Schemas["RunSummary"]["stage"];

export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  draft: "draft",
  ready: "ready to bend",
  bent: "bent",
  fitted: "fitted",
};

export const STAGES = Object.keys(STAGE_WORDS) as Stage[];
