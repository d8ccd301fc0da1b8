// Looking for fewer sticks for longer than somebody waits: by a worker, told on the way.
import { useQuery } from "@tanstack/react-query";
import type { CutsOfJob } from "@/api/stock";
import { isUnderWay, loadWorkFile } from "@/api/work";
import { useLongWork } from "@/features/longWork/useLongWork";
import type { StockDocument } from "@/model/stock";

const LONG_LOOK_S = 30;
const KINDS = ["cut-list"] as const;

/** What was found in a long look at just these runs and this stock.
 *  @param first - what was found in a moment. */
export function useLongLook(jobId: number, document: StockDocument, first: CutsOfJob | undefined) {
  const long = useLongWork(jobId, KINDS, () => undefined);
  const newest = long.all.find(({ state }) => state === "done");
  const list = useQuery({
    queryKey: ["found cuts", newest?.id],
    queryFn: () => loadWorkFile<CutsOfJob>(newest?.id ?? 0),
    enabled: newest !== undefined,
    retry: false,
    gcTime: 0,
  });
  const found = newest && list.data && list.data.made_of === first?.made_of ? list.data : null;
  return {
    ...long,
    /** Its list is below. */
    works: long.works.filter(({ state }) => state !== "done"),
    looking: long.works.some(isUnderWay),
    look: () => long.ask({ kind: "cut-list", document, seconds: LONG_LOOK_S }),
    /** The list, the work that it is called by, and how many sticks fewer it takes. */
    found:
      found && newest && first
        ? { list: found, work: newest.id, fewer: sticks(first) - sticks(found) }
        : null,
  };
}

function sticks({ conduits }: CutsOfJob): number {
  return conduits.reduce((sum, { cuts }) => sum + (cuts?.sticks ?? 0), 0);
}
