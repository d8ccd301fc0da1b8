// What is in hand on a job, and what it is cut from.
import { client, type Schemas, unwrap } from "./client";

export type JobStock = Schemas["JobStockDetail"];

export function loadStock(jobId: number): Promise<JobStock> {
  return unwrap(client.GET("/api/jobs/{job_id}/stock", { params: { path: { job_id: jobId } } }));
}

export function saveStock(
  jobId: number,
  document: JobStock["document"],
  baseVersion: number,
): Promise<JobStock> {
  return unwrap(
    client.PUT("/api/jobs/{job_id}/stock", {
      params: { path: { job_id: jobId } },
      body: { document, base_version: baseVersion },
    }),
  );
}

/** The cut list was cut, that which is found in so many seconds or which long work found: what is
 *  in hand afterwards. */
export function cutNow(
  jobId: number,
  document: JobStock["document"],
  baseVersion: number,
  list: { readonly seconds: number } | { readonly work: number },
): Promise<JobStock> {
  return unwrap(
    client.POST("/api/jobs/{job_id}/stock/cut", {
      params: { path: { job_id: jobId } },
      body: { document, base_version: baseVersion, seconds: 0, ...list },
    }),
  );
}

export type CutsRequest = Schemas["CutsRequest"];

export type CutsOfJob = Schemas["CutsOfJob"];

/** What a job's runs are cut from. */
export function cutsOfJob(
  jobId: number,
  request: CutsRequest,
  signal: AbortSignal | null = null,
): Promise<CutsOfJob> {
  return unwrap(
    client.POST("/api/jobs/{job_id}/cuts", {
      params: { path: { job_id: jobId } },
      body: request,
      signal,
    }),
  );
}
