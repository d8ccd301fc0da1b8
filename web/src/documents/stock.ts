// What is in hand on a job.
import { say } from "@/words/say";
import type { DocumentKind } from "./kind";

export const stock = {
  at: "/api/jobs/{job_id}/stock",
  called: say("the cut list"),
  removed: null,
  path: "/jobs/:jobId/cuts",
} as const satisfies DocumentKind;
