// Ducts between buildings.
import { say } from "@/words/say";
import type { KindInJob } from "./kind";
import { LARGE_PAPERS } from "./papers";

export const site = {
  at: "/api/sites/{site_id}",
  called: say("the ducts"),
  removed: { list: "sites", title: say("Ducts") },
  path: "/sites/:id",
  inJob: {
    title: say("Ducts between buildings"),
    another: say("New ducts"),
    nameLabel: say("Name of the ducts"),
    removeLabel: say("Remove these ducts"),
    backLabel: say("Back to the ducts"),
    papers: LARGE_PAPERS,
    firstPaper: "a3",
  },
} as const satisfies KindInJob;
