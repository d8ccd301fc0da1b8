// Every version of what is saved, and what was removed: listed, and brought back, for each kind.
import { DOCUMENTS, type Kind } from "@/documents/registry";
import { client, type Schemas, unwrap } from "./client";
import type { Details } from "./documents";
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

type Named = { readonly path?: Record<string, number>; readonly query?: Record<string, string> };

/** Which one of a kind: by its number, of a box by its job and its name. */
function named(kind: Kind, id: number, name = ""): Named {
  const parameter = /\{(\w+)\}/.exec(DOCUMENTS[kind].at)?.[1];
  return {
    ...(parameter ? { path: { [parameter]: id } } : {}),
    ...(name ? { query: { name } } : {}),
  };
}

/** The versions of a document; `name` is a box's, whose `id` is its job's. */
export function versionsOf<K extends Kind>(kind: K, id: number, name = ""): Versions<Details[K]> {
  const { path, query } = named(kind, id, name);
  // Every kind has the same routes at its own address: one of them stands for all in the types.
  const at = DOCUMENTS[kind].at as typeof DOCUMENTS.wall.at;
  return {
    key: keys.revisions(kind, name ? `${id} ${name}` : id),
    list: (before) =>
      unwrap(
        client.GET(`${at}/revisions`, {
          params: { path: path as never, query: { ...query, before: before ?? null } },
        }),
      ),
    restore: async (version, baseVersion) =>
      (await unwrap(
        client.POST(`${at}/revisions/{version}/restore`, {
          params: { path: { ...path, version } as never, query } as never,
          body: { base_version: baseVersion },
        }),
      )) as unknown as Details[K],
  };
}

export type RemovedThing = Schemas["RemovedSummary"];

export function loadRemoved(jobId: number): Promise<Readonly<Record<string, RemovedThing[]>>> {
  return unwrap(client.GET("/api/jobs/{job_id}/removed", { params: { path: { job_id: jobId } } }));
}

export function loadRemovedBenders(): Promise<RemovedThing[]> {
  return unwrap(client.GET("/api/benders/removed"));
}

/** It is put away; it can be brought back. `name` is a box's, whose `id` is its job's. */
export async function putAway(kind: Kind, id: number, name = ""): Promise<void> {
  const at = DOCUMENTS[kind].at as typeof DOCUMENTS.wall.at;
  await unwrap(client.DELETE(at, { params: named(kind, id, name) as never }));
}

export async function bringBack(kind: Kind, id: number, name = ""): Promise<void> {
  const at = DOCUMENTS[kind].at as typeof DOCUMENTS.wall.at;
  await unwrap(client.POST(`${at}/bring-back`, { params: named(kind, id, name) as never }));
}
