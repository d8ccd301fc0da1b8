// A framed wall: its plan, and its runs.
import { useQuery } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "./client";
import { keys } from "./queries";

export type JobWall = Schemas["WallDetail"];

export type WallPlan = Schemas["WallPlan"];

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
