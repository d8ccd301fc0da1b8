// A piece at the bench: what came out of it, what is left, and how far it is on any device.
import { client, type Schemas, unwrap } from "./client";
import type { Language } from "./planning";

/** The run whose piece it is. */
export type BenchRun = Schemas["RunDetail"];

/** What is left to do at the bench after what came out of a run's piece, counted from 1. */
export function atBench(
  document: Schemas["RunDocument"],
  came_out: Schemas["BenchDocument"],
  language: Language,
  piece: number | null,
  signal: AbortSignal,
) {
  return unwrap(
    client.POST("/api/bench", {
      params: { query: { language } },
      body: { document, came_out, piece },
      signal,
    }),
  );
}

/** What a reading that is still being typed makes of a run's piece, counted from 1. */
export function benchFit(
  document: Schemas["RunDocument"],
  came_out: Schemas["BenchDocument"],
  language: Language,
  piece: number | null,
  signal: AbortSignal,
) {
  return unwrap(
    client.POST("/api/bench/fit", {
      params: { query: { language } },
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

export type BenchPlan = Awaited<ReturnType<typeof atBench>>;

export type BenchFit = Awaited<ReturnType<typeof benchFit>>;

/** The gauge at the bender is this session's own, by the code that it shows. */
export async function pairGauge(code: string): Promise<void> {
  await unwrap(client.POST("/api/gauge/pairing", { body: { code } }));
}
