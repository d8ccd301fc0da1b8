// A run.
import type { DocumentKind } from "./kind";

export const run = {
  at: "/api/runs/{run_id}",
  called: "the run",
  removed: { list: "runs", title: "Runs" },
  path: "/runs/:runId",
} as const satisfies DocumentKind;
