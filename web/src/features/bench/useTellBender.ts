// What was read at the bench is the bender's too: told to it as soon as it is read, again until it
// has arrived, and once however often it is told.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import type { BenchPlan, BenchRun } from "@/api/bench";
import { learnBender } from "@/api/benders";
import { keys } from "@/api/queries";
import { useOwnBender } from "@/features/benders/useKeptBenders";
import { forTheBender, type Progress } from "@/model/bench";

const AGAIN_MS = 4000;

type Props = {
  run: BenchRun;
  piece: number;
  progress: Progress;
  plan: BenchPlan | null;
  old: boolean;
};

/** How many bends the run's own bender was told, and what it is called; null where it is none of
 * the crew's. */
export function useTellBender({ run, piece, progress, plan, old }: Props) {
  const queries = useQueryClient();
  const { units } = run.document;
  const own = useOwnBender(run.document);
  const kept = own ? Number(own.own.kept) : null;
  const which = `run ${run.id}${piece ? `, piece ${piece}` : ""}, ${progress.begun ?? 0}`;
  const bends =
    plan && !old && kept ? JSON.stringify(forTheBender(plan.learnt, units, which)) : NOTHING;
  const { mutate, isError } = useMutation({
    mutationFn: async (bends: string) => (kept ? learnBender(kept, JSON.parse(bends)) : null),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.benders }),
    retry: (_, error) => !("status" in error) || error.status === 0,
    retryDelay: AGAIN_MS,
    networkMode: "always",
  });
  useEffect(() => {
    if (bends !== NOTHING) {
      mutate(bends);
    }
  }, [bends, mutate]);
  return own && plan ? { name: own.name, bends: plan.learnt.length, refused: isError } : null;
}

const NOTHING = "[]";
