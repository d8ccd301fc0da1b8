// A piece at the bench is kept on the server too: another device finds it there, and is told where two
// go on with one piece. Nothing waits for it; what could not be sent is sent again.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import type { BenchRun } from "@/api/bench";
import { type AtBench, loadAtBench, saveAtBench } from "@/api/bench";
import { Refused, type Schemas } from "@/api/client";
import { asKept, type CameOut, elsewhereOf, keepBench, type Progress } from "@/model/bench";

const PAUSE_MS = 400;
const AGAIN_MS = 3000;

type Props = {
  run: BenchRun;
  piece: number;
  progress: Progress;
  steps: readonly { readonly bend?: number | null }[];
  /** The version on the server that this device had seen before. */
  seenFirst: number;
};

export function useKeptAtBench({ run, piece, progress, steps, seenFirst }: Props) {
  const queries = useQueryClient();
  const key = ["at-bench", run.id, piece];
  const kept = useQuery({
    queryKey: key,
    queryFn: () => loadAtBench(run.id, piece),
    staleTime: Infinity,
    retry: false,
    refetchInterval: ({ state }) => (state.data ? false : AGAIN_MS),
    networkMode: "always",
  });
  // What this device has seen of it is its own to go on from.
  const [seen, setSeen] = useState(seenFirst);
  const see = (version: number) => {
    setSeen(version);
    // What is not kept of this is asked once more, after a reload.
    void keepBench(run.id, piece, { seen: version }).catch(() => undefined);
  };
  const version = kept.data?.version;
  const elsewhere = elsewhereOf(kept.data, seen, run.version);
  const document = JSON.stringify(asKept(progress, steps, run.document.units));
  const begun = progress.at > 0 || Object.keys(progress.readings).length > 0;
  const waits = begun && !elsewhere && version !== undefined && steps.length > 0;
  const same = JSON.stringify(kept.data?.document) === document;

  /** What the next save is made from: never what another device saved and nobody looked at. */
  const newest = useRef(0);
  if (version !== undefined && !elsewhere) {
    newest.current = Math.max(newest.current, version);
  }
  const sending = useRef<Promise<unknown>>(Promise.resolve());
  const put = (detail: AtBench) => {
    newest.current = detail.version;
    see(detail.version);
    queries.setQueryData(key, detail);
  };
  // One after the other, each from the version that the one before made: two of one device are no
  // two devices.
  const send = (text: string): Promise<void> => {
    const next = sending.current
      .catch(() => undefined)
      .then(async () => {
        const sent = JSON.parse(text) as CameOut;
        put({ ...(await saveAtBench(run.id, piece, sent, newest.current)), document: sent });
      });
    sending.current = next;
    return next;
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is sent is what these say
  useEffect(() => {
    if (!waits || same) {
      return;
    }
    let timer = setTimeout(attempt, PAUSE_MS);
    async function attempt() {
      try {
        await send(document);
      } catch (error) {
        if (error instanceof Refused && error.status === 409) {
          // Another device went on: until somebody says what holds, nothing more is sent.
          const { theirs } = error.problem as Schemas["ConflictProblem"];
          queries.setQueryData(key, theirs);
        } else if (error instanceof Refused && (error.status === 0 || error.status >= 500)) {
          timer = setTimeout(attempt, AGAIN_MS);
        }
      }
    }
    return () => clearTimeout(timer);
  }, [waits, same, document, version]);
  return {
    elsewhere,
    /** What the other device has is known here, and what is done here goes on from it. */
    settle: () => {
      if (version !== undefined) {
        see(version);
      }
    },
    /** Keeps how it is now, at once. */
    now: (next: Progress) =>
      send(JSON.stringify(asKept(next, steps, run.document.units))).catch(() => undefined),
  };
}
