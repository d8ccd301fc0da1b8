// Ducts between buildings.
import type { KindInJob } from "./kind";
import { LARGE_PAPERS } from "./papers";

export const site = {
  at: "/api/sites/{site_id}",
  called: "the ducts",
  removed: { list: "sites", title: "Ducts" },
  path: "/sites/:id",
  inJob: {
    title: "Ducts between buildings",
    another: "New ducts",
    nameLabel: "Name of the ducts",
    removeLabel: "Remove these ducts",
    backLabel: "Back to the ducts",
    papers: LARGE_PAPERS,
    firstPaper: "a3",
  },
} as const satisfies KindInJob;
