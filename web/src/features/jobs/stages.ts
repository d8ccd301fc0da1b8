// How far a run is, in order.
import type { Schemas } from "@/api/client";
import { say } from "@/words/say";

export type Stage = Schemas["RunSummary"]["stage"];

export const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  draft: say("draft"),
  ready: say("ready to bend"),
  bent: say("bent"),
  fitted: say("fitted"),
};

export const STAGES = Object.keys(STAGE_WORDS) as Stage[];
