// Every version of what is saved, and what was removed: listed, and brought back, for each kind.
import { client, type Schemas, unwrap } from "./client";
import { keys } from "./queries";

export type Version = Schemas["RevisionSummary"];

/** Where a document's versions are: a page of them, newest first, and the way back to one. */
export type Versions<Detail> = {
  readonly key: readonly unknown[];
  readonly list: (before: number | undefined) => Promise<Version[]>;
  readonly restore: (version: number, baseVersion: number) => Promise<Detail>;
};

/** Rows of a page: a full one may have another behind it. */
export const PAGE = 100;

export function runVersions(id: number): Versions<Schemas["RunDetail"]> {
  return {
    key: keys.revisions("run", id),
    list: (before) =>
      unwrap(
        client.GET("/api/runs/{run_id}/revisions", {
          params: { path: { run_id: id }, query: { before: before ?? null } },
        }),
      ),
    restore: (version, baseVersion) =>
      unwrap(
        client.POST("/api/runs/{run_id}/revisions/{version}/restore", {
          params: { path: { run_id: id, version } },
          body: { base_version: baseVersion },
        }),
      ),
  };
}

export function boxVersions(jobId: number, name: string): Versions<Schemas["JobBoxDetail"]> {
  return {
    key: keys.revisions("box", `${jobId} ${name}`),
    list: (before) =>
      unwrap(
        client.GET("/api/jobs/{job_id}/box/revisions", {
          params: { path: { job_id: jobId }, query: { name, before: before ?? null } },
        }),
      ),
    restore: async (version, baseVersion) =>
      (await unwrap(
        client.POST("/api/jobs/{job_id}/box/revisions/{version}/restore", {
          params: { path: { job_id: jobId, version }, query: { name } },
          body: { base_version: baseVersion },
        }),
      )) as Schemas["JobBoxDetail"],
  };
}

export function wallVersions(id: number): Versions<Schemas["WallDetail"]> {
  return {
    key: keys.revisions("wall", id),
    list: (before) =>
      unwrap(
        client.GET("/api/walls/{wall_id}/revisions", {
          params: { path: { wall_id: id }, query: { before: before ?? null } },
        }),
      ),
    restore: (version, baseVersion) =>
      unwrap(
        client.POST("/api/walls/{wall_id}/revisions/{version}/restore", {
          params: { path: { wall_id: id, version } },
          body: { base_version: baseVersion },
        }),
      ),
  };
}

export function siteVersions(id: number): Versions<Schemas["SiteDetail"]> {
  return {
    key: keys.revisions("site", id),
    list: (before) =>
      unwrap(
        client.GET("/api/sites/{site_id}/revisions", {
          params: { path: { site_id: id }, query: { before: before ?? null } },
        }),
      ),
    restore: (version, baseVersion) =>
      unwrap(
        client.POST("/api/sites/{site_id}/revisions/{version}/restore", {
          params: { path: { site_id: id, version } },
          body: { base_version: baseVersion },
        }),
      ),
  };
}

export function stockVersions(jobId: number): Versions<Schemas["JobStockDetail"]> {
  return {
    key: keys.revisions("stock", jobId),
    list: (before) =>
      unwrap(
        client.GET("/api/jobs/{job_id}/stock/revisions", {
          params: { path: { job_id: jobId }, query: { before: before ?? null } },
        }),
      ),
    restore: (version, baseVersion) =>
      unwrap(
        client.POST("/api/jobs/{job_id}/stock/revisions/{version}/restore", {
          params: { path: { job_id: jobId, version } },
          body: { base_version: baseVersion },
        }),
      ),
  };
}

export function fittingsVersions(): Versions<Schemas["FittingsDetail"]> {
  return {
    key: keys.revisions("fittings", "own"),
    list: (before) =>
      unwrap(
        client.GET("/api/fittings/revisions", { params: { query: { before: before ?? null } } }),
      ),
    restore: (version, baseVersion) =>
      unwrap(
        client.POST("/api/fittings/revisions/{version}/restore", {
          params: { path: { version } },
          body: { base_version: baseVersion },
        }),
      ),
  };
}

export function benderVersions(id: number): Versions<Schemas["BenderDetail"]> {
  return {
    key: keys.revisions("bender", id),
    list: (before) =>
      unwrap(
        client.GET("/api/benders/{bender_id}/revisions", {
          params: { path: { bender_id: id }, query: { before: before ?? null } },
        }),
      ),
    restore: (version, baseVersion) =>
      unwrap(
        client.POST("/api/benders/{bender_id}/revisions/{version}/restore", {
          params: { path: { bender_id: id, version } },
          body: { base_version: baseVersion },
        }),
      ),
  };
}

export type RemovedThing = Schemas["RemovedSummary"];

export function loadRemoved(jobId: number): Promise<Schemas["RemovedFromJob"]> {
  return unwrap(client.GET("/api/jobs/{job_id}/removed", { params: { path: { job_id: jobId } } }));
}

export function loadRemovedBenders(): Promise<RemovedThing[]> {
  return unwrap(client.GET("/api/benders/removed"));
}

export async function bringBackRun(id: number): Promise<void> {
  await unwrap(client.POST("/api/runs/{run_id}/bring-back", { params: { path: { run_id: id } } }));
}

export async function bringBackBox(jobId: number, name: string): Promise<void> {
  const params = { path: { job_id: jobId }, query: { name } };
  await unwrap(client.POST("/api/jobs/{job_id}/box/bring-back", { params }));
}

export async function bringBackWall(id: number): Promise<void> {
  const params = { path: { wall_id: id } };
  await unwrap(client.POST("/api/walls/{wall_id}/bring-back", { params }));
}

/** A wall is put away; it can be brought back. */
export async function removeWall(id: number): Promise<void> {
  await unwrap(client.DELETE("/api/walls/{wall_id}", { params: { path: { wall_id: id } } }));
}

export async function bringBackSite(id: number): Promise<void> {
  const params = { path: { site_id: id } };
  await unwrap(client.POST("/api/sites/{site_id}/bring-back", { params }));
}

/** Ducts are put away; they can be brought back. */
export async function removeSite(id: number): Promise<void> {
  await unwrap(client.DELETE("/api/sites/{site_id}", { params: { path: { site_id: id } } }));
}

export async function bringBackBender(id: number): Promise<void> {
  const params = { path: { bender_id: id } };
  await unwrap(client.POST("/api/benders/{bender_id}/bring-back", { params }));
}

/** What is told of a box is put away; runs go on naming it. */
export async function removeBox(jobId: number, name: string): Promise<void> {
  const params = { path: { job_id: jobId }, query: { name } };
  await unwrap(client.DELETE("/api/jobs/{job_id}/box", { params }));
}
