// Server state: what the page reads, by name, and who may be out of date after a change.
import { type QueryClient, useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "./client";
import { rememberSession } from "./token";

export const keys = {
  session: ["session"],
  jobs: ["jobs"],
  job: (id: number) => ["job", id],
  run: (id: number) => ["run", id],
  jobRuns: (id: number) => ["job", id, "runs"],
  removed: (jobId: number) => ["job", jobId, "removed"],
  removedBenders: ["benders", "removed"],
  revisions: (kind: string, id: number | string) => ["revisions", kind, id],
  catalogue: ["catalogue"],
  benders: ["benders"],
  boxes: (jobId: number) => ["job", jobId, "boxes"],
  box: (jobId: number, name: string) => ["job", jobId, "box", name],
  fittings: ["fittings"],
  fittingsOpened: ["fittings", "opened"],
  documents: (kind: string, jobId: number) => ["job", jobId, kind],
  document: (kind: string, id: number) => [kind, id],
  wallRuns: (wallId: number) => ["wall", wallId, "runs"],
  stock: (jobId: number) => ["job", jobId, "stock"],
} as const;

export async function loadSession(): Promise<Schemas["Session"]> {
  const session = await unwrap(client.GET("/api/session"));
  rememberSession(session);
  return session;
}

export function useSession() {
  return useQuery({ queryKey: keys.session, queryFn: loadSession, staleTime: Infinity });
}

export function useJobs() {
  return useQuery({ queryKey: keys.jobs, queryFn: () => unwrap(client.GET("/api/jobs")) });
}

export function useJob(id: number) {
  return useQuery({
    queryKey: keys.job(id),
    queryFn: () => unwrap(client.GET("/api/jobs/{job_id}", { params: { path: { job_id: id } } })),
  });
}

export type RunsFilter = {
  readonly search: string;
  readonly by: "name" | "changed" | "longest" | "bends" | "stage";
  readonly stage: Schemas["RunSummary"]["stage"] | null;
};

/** How many runs of a job a list has at once. */
export const RUNS_PAGE = 100;

/** The runs of a job that are asked for, page by page; what was shown stays until the next is there. */
export function useRuns(jobId: number, filter: RunsFilter) {
  const pages = useInfiniteQuery({
    queryKey: [...keys.jobRuns(jobId), filter],
    queryFn: ({ pageParam }) =>
      unwrap(
        client.GET("/api/jobs/{job_id}/runs", {
          params: { path: { job_id: jobId }, query: { offset: pageParam, ...filter } },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (last, all) => (last.length < RUNS_PAGE ? undefined : all.flat().length),
    placeholderData: (before) => before,
  });
  return {
    runs: pages.data?.pages.flat(),
    more: pages.hasNextPage,
    next: () => void pages.fetchNextPage(),
    busy: pages.isFetching,
  };
}

export function useCatalogue() {
  return useQuery({
    queryKey: keys.catalogue,
    queryFn: () => unwrap(client.GET("/api/catalogue")),
    staleTime: Infinity,
  });
}

export function loadRun(id: number): Promise<Schemas["RunDetail"]> {
  return unwrap(client.GET("/api/runs/{run_id}", { params: { path: { run_id: id } } }));
}

export function saveRun(
  id: number,
  document: Schemas["RunDocument"],
  baseVersion: number,
): Promise<Schemas["RunDetail"]> {
  return unwrap(
    client.PUT("/api/runs/{run_id}", {
      params: { path: { run_id: id } },
      body: { document, base_version: baseVersion },
    }),
  );
}

export function createRun(
  jobId: number,
  document: Schemas["RunDocument"],
): Promise<Schemas["RunDetail"]> {
  return unwrap(
    client.POST("/api/jobs/{job_id}/runs", { params: { path: { job_id: jobId } }, body: document }),
  );
}

export function forgetLists(queries: QueryClient): void {
  void queries.invalidateQueries({ queryKey: keys.jobs });
  void queries.invalidateQueries({ queryKey: ["job"] });
}

/** Says how far a run is. */
export function putStage(runId: number, stage: Schemas["RunSummary"]["stage"]) {
  const path = { run_id: runId };
  return unwrap(client.PUT("/api/runs/{run_id}/stage", { params: { path }, body: { stage } }));
}

/** Give the runs that a schedule names the wire that it says, or none of them. */
export function takeSchedule(jobId: number, table: Blob): Promise<Schemas["Taken"]> {
  return unwrap(
    client.POST("/api/jobs/{job_id}/schedule", {
      params: { path: { job_id: jobId } },
      body: table as never,
      bodySerializer: (body) => body as unknown as Blob,
      headers: { "Content-Type": "text/csv" },
    }),
  );
}
