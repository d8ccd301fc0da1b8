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
  sites: (jobId: number) => ["job", jobId, "sites"],
  site: (siteId: number) => ["site", siteId],
  walls: (jobId: number) => ["job", jobId, "walls"],
  wall: (wallId: number) => ["wall", wallId],
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

const PAGE = 100;

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
    getNextPageParam: (last, all) => (last.length < PAGE ? undefined : all.flat().length),
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

/** Whose words are used. */
export type Country = Schemas["JobDetail"]["rules"];

/** The plan of a document, unsaved, in the words of a country. */
export async function planRun(
  document: Schemas["RunDocument"],
  country: Country | null,
  signal: AbortSignal,
): Promise<Schemas["WrittenPlan"]> {
  const plan = await unwrap(
    client.POST("/api/plan", { params: { query: { country } }, body: document, signal }),
  );
  // The client's own types widen a point to a list of numbers; the contract has three.
  return plan as Schemas["WrittenPlan"];
}

/** The same run in the other unit. */
export function convertRun(
  document: Schemas["RunDocument"],
  to: Schemas["RunDocument"]["units"],
): Promise<Schemas["RunDocument"]> {
  return unwrap(client.POST("/api/convert", { body: { document, to } }));
}

export function forgetLists(queries: QueryClient): void {
  void queries.invalidateQueries({ queryKey: keys.jobs });
  void queries.invalidateQueries({ queryKey: ["job"] });
}

export function readTypedLine(
  text: string,
  units: Schemas["RunDocument"]["units"],
  signal: AbortSignal,
): Promise<Schemas["TypedLineShape"]> {
  return unwrap(client.POST("/api/line", { body: { text, units }, signal }));
}

/** A bend by itself, as it is said, as a run to plan. */
export function quickBend(
  document: Schemas["RunDocument_quick_file"],
  signal: AbortSignal,
): Promise<Schemas["QuickBendShape"]> {
  return unwrap(client.POST("/api/quick", { body: document, signal }));
}

export function useBenders() {
  return useQuery({
    queryKey: keys.benders,
    queryFn: () => unwrap(client.GET("/api/benders")),
  });
}

export type Fittings = Schemas["FittingsDetail"];

export function loadFittings(): Promise<Fittings> {
  return unwrap(client.GET("/api/fittings"));
}

/** The crew's own fittings. */
export function useFittings() {
  return useQuery({ queryKey: keys.fittings, queryFn: loadFittings });
}

export function saveFittings(
  document: Fittings["document"],
  baseVersion: number,
): Promise<Fittings> {
  return unwrap(client.PUT("/api/fittings", { body: { document, base_version: baseVersion } }));
}

type BenderDocument = Schemas["RunDocument_bender_file"];

export function benderNumbers(
  document: BenderDocument,
  signal: AbortSignal,
): Promise<Schemas["BenderNumbers"]> {
  return unwrap(client.POST("/api/benders/numbers", { body: document, signal }));
}

/** More bends that were measured on a bender; sent again, they are kept once. */
export function learnBender(
  benderId: number,
  bends: Schemas["RunDocument_test_bend"][],
): Promise<Schemas["BenderDetail"]> {
  return unwrap(
    client.POST("/api/benders/{bender_id}/bends", {
      params: { path: { bender_id: benderId } },
      body: { bends },
    }),
  );
}

/** Keep a bender: a new one, or other numbers for the one that was opened at a version. */
export function keepBender(
  document: BenderDocument,
  opened: { id: number; version: number } | null,
): Promise<Schemas["BenderDetail"]> {
  if (!opened) {
    return unwrap(client.POST("/api/benders", { body: document }));
  }
  return unwrap(
    client.PUT("/api/benders/{bender_id}", {
      params: { path: { bender_id: opened.id } },
      body: { document, base_version: opened.version },
    }),
  );
}

export function removeBender(id: number): Promise<unknown> {
  return unwrap(client.DELETE("/api/benders/{bender_id}", { params: { path: { bender_id: id } } }));
}

/** The orders of a run as one piece, or of its pieces' one, counted from 1. */
export function handleRun(
  document: Schemas["RunDocument"],
  country: Country,
  piece: number | null,
  signal: AbortSignal,
) {
  return unwrap(
    client.POST("/api/handling", { params: { query: { country, piece } }, body: document, signal }),
  );
}

/** What is left to do at the bench after what came out of a run's piece, counted from 1. */
export function atBench(
  document: Schemas["RunDocument"],
  came_out: Schemas["BenchDocument"],
  country: Country,
  piece: number | null,
  signal: AbortSignal,
) {
  return unwrap(
    client.POST("/api/bench", {
      params: { query: { country } },
      body: { document, came_out, piece },
      signal,
    }),
  );
}

/** What a reading that is still being typed makes of a run's piece, counted from 1. */
export function benchFit(
  document: Schemas["RunDocument"],
  came_out: Schemas["BenchDocument"],
  country: Country,
  piece: number | null,
  signal: AbortSignal,
) {
  return unwrap(
    client.POST("/api/bench/fit", {
      params: { query: { country } },
      body: { document, came_out, piece },
      signal,
    }),
  );
}

/** What a run's bender that is known better by now changes in it. */
export function recalibrated(
  document: Schemas["RunDocument"],
  bender: Schemas["RunDocument_own_bender"],
  signal: AbortSignal,
) {
  return unwrap(client.POST("/api/recalibrated", { body: { document, bender }, signal }));
}

/** What of the same job and conduit a straight that is left can become. */
export function couldBecome(runId: number, straightMm: number, signal: AbortSignal) {
  const params = { path: { run_id: runId }, query: { straight_mm: straightMm } };
  return unwrap(client.GET("/api/runs/{run_id}/could-become", { params, signal }));
}

export type AtBench = Schemas["AtBenchDetail"];

/** How far a piece is at the bench, on whichever device that was. */
export function loadAtBench(runId: number, piece: number): Promise<AtBench> {
  const path = { run_id: runId, piece };
  return unwrap(client.GET("/api/runs/{run_id}/bench/{piece}", { params: { path } }));
}

export function saveAtBench(
  runId: number,
  piece: number,
  document: Schemas["BenchDocument"],
  baseVersion: number,
): Promise<AtBench> {
  const params = { path: { run_id: runId, piece } };
  const body = { document, base_version: baseVersion };
  return unwrap(client.PUT("/api/runs/{run_id}/bench/{piece}", { params, body }));
}

/** Says how far a run is. */
export function putStage(runId: number, stage: Schemas["RunSummary"]["stage"]) {
  const path = { run_id: runId };
  return unwrap(client.PUT("/api/runs/{run_id}/stage", { params: { path }, body: { stage } }));
}

export type BenchPlan = Awaited<ReturnType<typeof atBench>>;
export type BenchFit = Awaited<ReturnType<typeof benchFit>>;

export type PiecesOfRun = Schemas["PiecesOfRun"];

export async function partRun(
  document: Schemas["RunDocument"],
  country: Country,
  signal: AbortSignal,
): Promise<PiecesOfRun> {
  const request = { params: { query: { country } }, body: document, signal };
  return (await unwrap(client.POST("/api/pieces", request))) as PiecesOfRun;
}

export type PlanInPieces = { readonly plan: Schemas["WrittenPlan"]; readonly pieces: PiecesOfRun };

/** The plan of a run as one, and its pieces, in one answer. */
export async function planInPieces(
  document: Schemas["RunDocument"],
  country: Country,
  signal: AbortSignal,
): Promise<PlanInPieces> {
  const request = { params: { query: { country } }, body: document, signal };
  return (await unwrap(client.POST("/api/plan-in-pieces", request))) as PlanInPieces;
}

export type OrderOfWork = Schemas["OrderOfWork"];

export async function orderOfWork(
  document: Schemas["RunDocument"],
  country: Country,
  signal: AbortSignal,
): Promise<OrderOfWork> {
  const request = { params: { query: { country } }, body: document, signal };
  return (await unwrap(client.POST("/api/work", request))) as OrderOfWork;
}

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

/** The cut list was cut: what is in hand afterwards. */
export function cutNow(
  jobId: number,
  document: JobStock["document"],
  baseVersion: number,
  seconds: number,
): Promise<JobStock> {
  return unwrap(
    client.POST("/api/jobs/{job_id}/stock/cut", {
      params: { path: { job_id: jobId } },
      body: { document, base_version: baseVersion, seconds },
    }),
  );
}

export type CutsRequest = Schemas["CutsRequest"];
export type CutsOfJob = Schemas["CutsOfJob"];

/** What a job's runs are cut from. */
export function cutsOfJob(
  jobId: number,
  request: CutsRequest,
  signal: AbortSignal,
): Promise<CutsOfJob> {
  return unwrap(
    client.POST("/api/jobs/{job_id}/cuts", {
      params: { path: { job_id: jobId } },
      body: request,
      signal,
    }),
  );
}

export async function planRack(
  document: Schemas["RunDocument"],
  country: Country,
  signal: AbortSignal,
): Promise<RackPlan> {
  const rack = client.POST("/api/rack", { params: { query: { country } }, body: document, signal });
  return (await unwrap(rack)) as RackPlan;
}

export type RackPlan = Schemas["RackPlan"];
export type Order = Awaited<ReturnType<typeof handleRun>>["orders"][number];
export type BendHandling = Order["bends"][number];

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
