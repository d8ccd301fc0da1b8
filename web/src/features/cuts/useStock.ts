// A job's stock as it is changed: saved a moment after the last change, and what is cut from it.
import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Refused } from "@/api/client";
import { type CutsOfJob, cutsOfJob, type JobStock, saveStock } from "@/api/stock";
import { type Opened, useOpened } from "@/features/documents/useOpened";
import type { Draft } from "@/model/draft";
import { type Offcut, type StockDocument, addOffcut as withOffcut } from "@/model/stock";
import { useSavedDocument } from "@/ui/useSavedDocument";
import { say } from "@/words/say";

export type OpenStock = Opened<StockDocument>;

/** How long looking for fewer sticks than the first answer has may take. */
export const LOOK_S = 1;

const NO_PROBLEMS: ReadonlyMap<string, string> = new Map();

export function useStock(stock: JobStock, drafts: readonly Draft[]) {
  const jobId = stock.job_id;
  const { each, document } = useOpened<StockDocument>(stock, drafts, {
    target: {
      kind: "stock",
      id: String(jobId),
      title: say("{jobName}, stock", { jobName: stock.job_name }),
    },
    send: (next, baseVersion) => saveStock(jobId, next, baseVersion),
    done: () => undefined,
  });
  const cuts = useCuts(jobId, document);
  useSavedDocument(each, { readable: cuts.readable });
  const { change } = each.store.getState();
  const queries = useQueryClient();
  /** Adds an offcut whose length can be read; else says what was expected of that. */
  const addOffcut = async (offcut: Offcut): Promise<string> => {
    const next = withOffcut(offcut)(each.store.getState().current());
    try {
      const cut = await cutsOfJob(jobId, { document: next, seconds: 0 });
      queries.setQueryData(["cuts", jobId, next], cut);
    } catch (error) {
      const path = `offcuts[${(next.offcuts ?? []).length - 1}].length`;
      const problem =
        isUnreadable(error) && error.problem.errors.find((each) => each.path === path);
      if (problem) {
        return problem.expected;
      }
    }
    change(withOffcut(offcut));
    return "";
  };
  return { each, document, change, addOffcut, ...cuts };
}

/** What the job is cut from: an answer at once, then what was found in a second more. */
function useCuts(jobId: number, document: StockDocument) {
  const [stopped, setStopped] = useState<StockDocument | null>(null);
  const first = useQuery({
    queryKey: ["cuts", jobId, document],
    queryFn: ({ signal }) => cutsOfJob(jobId, { document, seconds: 0 }, signal),
    retry: false,
    gcTime: 0,
    placeholderData: keepPreviousData,
    // Of many runs the server works some out at a time, and keeps them.
    refetchInterval: ({ state }) => (isComplete(state.data) ? false : 50),
  });
  // What was cut stays in sight while an offcut can't be read.
  const [last, setLast] = useState<CutsOfJob | undefined>();
  if (first.data && isComplete(first.data) && first.data !== last) {
    setLast(first.data);
  }
  const open = first.data?.conduits.some(({ cuts }) => cuts?.how === "first-fit") ?? false;
  const better = useQuery({
    queryKey: ["fewer sticks", jobId, document],
    queryFn: ({ signal }) => cutsOfJob(jobId, { document, seconds: LOOK_S }, signal),
    enabled: open && stopped !== document && !first.isPlaceholderData,
    retry: false,
    gcTime: 0,
  });
  const best = (stopped === document ? null : better.data) ?? last;
  return {
    shown: best,
    looking: better.isFetching && stopped !== document,
    /** Whether fewer sticks than these may be found by looking longer. */
    mayBeFewer:
      !better.isFetching &&
      (best?.conduits.some(({ cuts }) => cuts && cuts.how !== "proven") ?? false),
    stop: () => setStopped(document),
    /** How many runs are worked out so far, of how many; null once all of them are. */
    workingOut: first.data && !isComplete(first.data) ? first.data : null,
    pending: first.isPending,
    readable:
      first.isPending || first.isPlaceholderData
        ? null
        : !(first.isError && isUnreadable(first.error)),
    refusal: first.isError && !isUnreadable(first.error) ? first.error.message : "",
    problems: isUnreadable(first.error)
      ? new Map(first.error.problem.errors.map(({ path, expected }) => [path, expected]))
      : NO_PROBLEMS,
  };
}

function isComplete(cuts: CutsOfJob | undefined): boolean {
  return !cuts || cuts.worked_out >= cuts.runs;
}

function isUnreadable(error: unknown): error is Refused {
  return error instanceof Refused && error.problem.errors.length > 0;
}
