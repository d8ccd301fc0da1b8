// A piece at the bench: where it stands, and what the core makes of what came out so far.
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { atBench, type BenchPlan, type BenchRun, benchFit } from "@/api/bench";
import {
  begun,
  type CameOut,
  cameOut,
  type KeptHere,
  keepBench,
  type Progress,
  progressOf,
  type Readings,
  withReadings,
} from "@/model/bench";
import { useShared } from "@/state/useShared";
import { useKeptAtBench } from "./useKeptAtBench";

type OfPiece = { readonly run: BenchRun; readonly piece: number };

type OnDisk = "keeping" | "kept" | "refused";

/** An answer holds as long as what was asked; without a network it says so, and does not wait. */
const ASKED_ONCE = { staleTime: Infinity, retry: false, networkMode: "always" } as const;

/** The bench's answer to what came out; null pieces are a run of one. */
function useBenchPlan({ run, piece }: OfPiece, read: CameOut | null) {
  return useQuery({
    queryKey: ["bench", run.id, run.version, piece, JSON.stringify(read)],
    queryFn: ({ signal }) =>
      atBench(run.document, read as CameOut, run.job_language, piece || null, signal),
    enabled: read !== null,
    placeholderData: keepPreviousData,
    ...ASKED_ONCE,
  });
}

/** What a reading that is still being typed makes of the piece. */
export function useBenchFit({ run, piece }: OfPiece, read: CameOut | null) {
  return useQuery({
    queryKey: ["bench-fit", run.id, run.version, piece, JSON.stringify(read)],
    queryFn: ({ signal }) =>
      benchFit(run.document, read as CameOut, run.job_language, piece || null, signal),
    enabled: read !== null,
    placeholderData: keepPreviousData,
    ...ASKED_ONCE,
  });
}

export function useBench({ here, ...of }: OfPiece & { readonly here: KeptHere }) {
  const { run, piece } = of;
  const [progress, setProgress] = useState(() => progressOf(here, run.version));
  const [onDisk, setOnDisk] = useState<OnDisk>("kept");
  const planned = useBenchPlan(of, NOTHING(run));
  const steps = planned.data?.order.steps ?? [];
  const now = useBenchPlan(of, planned.data ? cameOut(progress, steps, run.document.units) : null);
  const put = (next: Progress) => {
    setProgress(next);
    setOnDisk("keeping");
    void keepBench(run.id, piece, { progress: next }).then(
      () => setOnDisk("kept"),
      () => setOnDisk("refused"),
    );
  };
  const kept = useKeptAtBench({ run, piece, progress, steps, seenFirst: here.seen });
  const behind = (bend: number, readings: Readings): Progress => {
    const at = steps.findIndex((step) => step.bend === bend) + 1;
    return withReadings({ ...progress, at: Math.max(progress.at, at) }, bend, readings);
  };
  // What could not be asked is shown as it was answered last: nobody stands at a bender without.
  // Of a piece that something was read of, the marks as they were planned are never shown.
  const plan: BenchPlan | null = useShared(now.data);
  return {
    plan,
    error: now.error ?? planned.error,
    retry: () => void (planned.isError ? planned.refetch() : now.refetch()),
    old: now.isPlaceholderData || now.isError,
    progress,
    /** Whether what was read is on this device's disk. */
    onDisk,
    go: (at: number) => put({ ...progress, at: Math.min(Math.max(at, 0), steps.length) }),
    /** Keeps what was read of a bend, and goes on behind its step. */
    read: (bend: number, readings: Readings) => put(behind(bend, readings)),
    /** What would be asked with a reading that is not kept yet. */
    tried: (bend: number, readings: Readings): CameOut =>
      cameOut(behind(bend, readings), steps, run.document.units),
    hold: (leg: number) => put({ ...progress, held: leg }),
    /** What came of offering it up: kept as built, as far as the server can be reached. */
    offered: async (offered: "fits" | "does-not") => {
      const built = { ...progress, offered };
      put(built);
      await kept.now(built);
    },
    elsewhere: kept.elsewhere,
    /** Goes on from where the other device is. */
    takeOver: () => {
      if (kept.elsewhere) {
        put(kept.elsewhere.progress);
        kept.settle();
      }
    },
    /** Goes on from here: what the other device has is written over, and stays in the history. */
    goOnHere: kept.settle,
    anew: () => put(begun(run.version)),
  };
}

const NOTHING = (run: BenchRun): CameOut => ({
  format: "yarrow.bench/1",
  units: run.document.units,
  made: [],
});
