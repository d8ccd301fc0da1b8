// Boxes of a job, and the checks of wires, boxes and holes.
import { useQuery } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "./client";
import { keys } from "./queries";

export function readWires(text: string, units: Schemas["RunDocument"]["units"]) {
  return unwrap(client.POST("/api/wires", { body: { text, units } }));
}

/** The checks without a run, by name: a document in, its answer out. */
export const CHECKS = {
  fill: (body: Schemas["RunDocument_fill_file"], signal: AbortSignal) =>
    unwrap(client.POST("/api/fill", { body, signal })),
  box: (body: Schemas["BoxDocument"], signal: AbortSignal) =>
    unwrap(client.POST("/api/box", { body, signal })),
  pullbox: (body: Schemas["PullboxDocument"], signal: AbortSignal) =>
    unwrap(client.POST("/api/pullbox", { body, signal })),
  entries: (body: Schemas["EntriesDocument"], signal: AbortSignal) =>
    unwrap(client.POST("/api/entries", { body, signal })),
} as const;

export function useBoxes(jobId: number) {
  return useQuery({
    queryKey: keys.boxes(jobId),
    queryFn: () =>
      unwrap(client.GET("/api/jobs/{job_id}/boxes", { params: { path: { job_id: jobId } } })),
  });
}

export async function loadBox(jobId: number, name: string) {
  const box = await unwrap(
    client.GET("/api/jobs/{job_id}/box", {
      params: { path: { job_id: jobId }, query: { name } },
    }),
  );
  // The client's own types widen a pair to a list; the contract has two.
  return box as JobBox;
}

export type JobBox = Schemas["JobBoxDetail"];

export async function saveBox(
  jobId: number,
  document: Schemas["SiteboxDocument"],
  baseVersion: number,
) {
  const box = await unwrap(
    client.PUT("/api/jobs/{job_id}/box", {
      params: { path: { job_id: jobId } },
      body: { document, base_version: baseVersion },
    }),
  );
  return box as JobBox;
}

export function checkSiteBox(
  jobId: number,
  document: Schemas["SiteboxDocument"],
  signal: AbortSignal,
) {
  return unwrap(
    client.POST("/api/jobs/{job_id}/box/check", {
      params: { path: { job_id: jobId } },
      body: document,
      signal,
    }),
  );
}
