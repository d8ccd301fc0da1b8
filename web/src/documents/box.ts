// What is told of a box of a job.
import type { DocumentKind } from "./kind";

export const box = {
  at: "/api/jobs/{job_id}/box",
  called: "the box",
  removed: { list: "boxes", title: "Boxes" },
  path: "/jobs/:jobId/box",
} as const satisfies DocumentKind;
