// A run.
import { say } from "@/words/say";
import type { DocumentKind } from "./kind";

export const run = {
  at: "/api/runs/{run_id}",
  called: say("the run"),
  removed: { list: "runs", title: say("Runs") },
  path: "/runs/:runId",
} as const satisfies DocumentKind;
