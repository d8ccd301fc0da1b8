// What is in hand on a job.
import type { DocumentKind } from "./kind";

export const stock = {
  at: "/api/jobs/{job_id}/stock",
  called: "the cut list",
  removed: null,
  path: "/jobs/:jobId/cuts",
} as const satisfies DocumentKind;
