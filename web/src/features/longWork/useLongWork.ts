// A job's long work: what this person asked for, followed until it ends, also after the page was
// loaded again.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import {
  type AskedWork,
  askForWork,
  followWork,
  isUnderWay,
  type LongWork,
  listWork,
  stopWork,
} from "@/api/work";

const NONE: readonly LongWork[] = [];

/** @param done - called once with each that was seen under way, and then was done. */
export function useLongWork(
  jobId: number,
  kinds: readonly LongWork["kind"][],
  done: (work: LongWork) => void,
) {
  const queries = useQueryClient();
  const key = ["work", jobId];
  const [seen, setSeen] = useState<ReadonlySet<number>>(new Set());
  const listed = useQuery({ queryKey: key, queryFn: () => listWork(jobId), gcTime: 0 });
  const keep = (work: LongWork) =>
    queries.setQueryData<LongWork[]>(key, (all = []) =>
      all.some(({ id }) => id === work.id)
        ? all.map((each) => (each.id === work.id ? work : each))
        : [work, ...all],
    );
  const ask = useMutation({
    mutationFn: (work: AskedWork) => askForWork(jobId, work),
    onSuccess: keep,
  });
  const stop = useMutation({ mutationFn: stopWork, onSuccess: keep });
  const works = (listed.data ?? NONE).filter(({ kind }) => kinds.includes(kind));
  const underWay = works.filter(isUnderWay).map(({ id }) => id);
  // biome-ignore lint/correctness/useExhaustiveDependencies: by which are under way alone
  useEffect(() => {
    setSeen((before) => new Set([...before, ...underWay]));
    const ends = underWay.map((id) =>
      followWork(id, (work) => {
        keep(work);
        if (work.state === "done") {
          done(work);
        }
      }),
    );
    return () => {
      for (const end of ends) {
        end();
      }
    };
  }, [underWay.join()]);
  return {
    all: works,
    /** Those under way, and those that were when this page saw them. */
    works: works.filter(({ id }) => seen.has(id)),
    ask: ask.mutate,
    asking: ask.isPending,
    problem: ask.error?.message ?? stop.error?.message ?? "",
    stop: stop.mutate,
    dismiss: (id: number) => setSeen((before) => new Set([...before].filter((one) => one !== id))),
  };
}
