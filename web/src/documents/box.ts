// What is told of a box of a job.
import { say } from "@/words/say";
import type { DocumentKind } from "./kind";

export const box = {
  at: "/api/jobs/{job_id}/box",
  called: say("the box"),
  removed: { list: "boxes", title: say("Boxes") },
  path: "/jobs/:jobId/box",
} as const satisfies DocumentKind;
