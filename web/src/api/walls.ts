// The framed walls of a job.
import { useQuery } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "./client";
import { keys } from "./queries";

export type JobWall = Schemas["WallDetail"];

export type WallPlan = Schemas["WallPlan"];

export function useWalls(jobId: number) {
  return useQuery({
    queryKey: keys.walls(jobId),
    queryFn: () =>
      unwrap(client.GET("/api/jobs/{job_id}/walls", { params: { path: { job_id: jobId } } })),
  });
}

export function createWall(jobId: number, document: JobWall["document"]): Promise<JobWall> {
  const params = { path: { job_id: jobId } };
  return unwrap(client.POST("/api/jobs/{job_id}/walls", { params, body: document }));
}

export function loadWall(wallId: number): Promise<JobWall> {
  return unwrap(client.GET("/api/walls/{wall_id}", { params: { path: { wall_id: wallId } } }));
}

export function saveWall(
  wallId: number,
  document: JobWall["document"],
  baseVersion: number,
): Promise<JobWall> {
  return unwrap(
    client.PUT("/api/walls/{wall_id}", {
      params: { path: { wall_id: wallId } },
      body: { document, base_version: baseVersion },
    }),
  );
}

/** The runs that a wall makes, by the keys of its feeds. */
export function useWallRuns(wallId: number) {
  return useQuery({
    queryKey: keys.wallRuns(wallId),
    queryFn: () =>
      unwrap(client.GET("/api/walls/{wall_id}/runs", { params: { path: { wall_id: wallId } } })),
  });
}

/** A wall planned as it stands; nothing is saved. */
export async function planWall(
  document: JobWall["document"],
  signal: AbortSignal,
): Promise<WallPlan> {
  return (await unwrap(client.POST("/api/wall", { body: document, signal }))) as WallPlan;
}
