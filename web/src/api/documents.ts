// The documents that a job has some of, kind by kind: listed, made, opened and saved.
import { useQuery } from "@tanstack/react-query";
import { DOCUMENTS, type InJob, type Kind } from "@/documents/registry";
import { client, unwrap } from "./client";
import { keys } from "./queries";
import type { paths } from "./schema";

/** What is answered at an address of the contract. */
type Got<At> = At extends keyof paths
  ? paths[At] extends { get: { responses: { 200: { content: { "application/json": infer T } } } } }
    ? T
    : never
  : never;

/** The answer that has the document of one, as the contract has it at the kind's address. */
export type Details = { [K in Kind]: Got<(typeof DOCUMENTS)[K]["at"]> };

type Listed = { readonly id: number; readonly name: string };

// Every kind has the same routes at its own address: one of them stands for all in the types.
function addressOf(kind: InJob) {
  const { at, removed } = DOCUMENTS[kind];
  return {
    one: at as typeof DOCUMENTS.wall.at,
    all: `/api/jobs/{job_id}/${removed.list}` as "/api/jobs/{job_id}/walls",
    path: (id: number) => ({ [at.slice(at.indexOf("{") + 1, at.indexOf("}"))]: id }) as never,
  };
}

export function useDocuments(kind: InJob, jobId: number) {
  return useQuery({
    queryKey: keys.documents(kind, jobId),
    queryFn: (): Promise<Listed[]> =>
      unwrap(client.GET(addressOf(kind).all, { params: { path: { job_id: jobId } } })),
  });
}

export function createDocument<K extends InJob>(
  kind: K,
  jobId: number,
  document: Details[K]["document"],
): Promise<Details[K]> {
  const made = client.POST(addressOf(kind).all, {
    params: { path: { job_id: jobId } },
    body: document as never,
  });
  return unwrap(made) as Promise<unknown> as Promise<Details[K]>;
}

export function loadDocument<K extends InJob>(kind: K, id: number): Promise<Details[K]> {
  const { one, path } = addressOf(kind);
  return unwrap(client.GET(one, { params: { path: path(id) } })) as Promise<unknown> as Promise<
    Details[K]
  >;
}

export function saveDocument<K extends InJob>(
  kind: K,
  id: number,
  document: Details[K]["document"],
  baseVersion: number,
): Promise<Details[K]> {
  const { one, path } = addressOf(kind);
  const saved = client.PUT(one, {
    params: { path: path(id) },
    body: { document: document as never, base_version: baseVersion },
  });
  return unwrap(saved) as Promise<unknown> as Promise<Details[K]>;
}

/** A page of its sheet, as a drawing. */
export function sheetPage(kind: InJob, id: number, paper: string, page: number) {
  const at = `${addressOf(kind).one}/sheet.svg` as "/api/walls/{wall_id}/sheet.svg";
  return client.GET(at, {
    params: { path: addressOf(kind).path(id), query: { paper: paper as never, page } },
    parseAs: "text",
  });
}
