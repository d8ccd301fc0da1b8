// The plan of the document as it stands: asked for at every key press, the last good one kept on
// screen while a number is half typed or the connection is gone.
import { queryOptions, useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { Refused } from "@/api/client";
import { type Language, planInPieces, planRun } from "@/api/planning";
import type { Plan, RunDocument } from "@/model/document";
import { useShared } from "./useShared";

const ASK_AGAIN_MS = 4000;
const KEEP_MS = 60_000;

export type PlanState = {
  /** The last plan that there was; null until the first. */
  readonly plan: Plan | null;
  /** What can't be read, by its path in the document. */
  readonly problems: ReadonlyMap<string, string>;
  readonly offline: boolean;
  /** Whether what is shown is from before something that can't be planned. */
  readonly stale: boolean;
  /** A refusal that is not about a field. */
  readonly refusal: string;
};

const ASKED = {
  retry: false,
  staleTime: Infinity,
  gcTime: KEEP_MS,
  networkMode: "always",
} as const;

/** What is asked for a run that is shown in pieces: its plan and those, in one answer. */
export function inPiecesQuery(document: RunDocument, language: Language) {
  return queryOptions({
    ...ASKED,
    queryKey: ["plan in pieces", language, JSON.stringify(document)],
    queryFn: ({ signal }) => planInPieces(document, language, signal),
    refetchInterval: ({ state }) => (isOffline(state.error) ? ASK_AGAIN_MS : false),
  });
}

/** The plan of a run. */
export function planQuery(document: RunDocument, language: Language) {
  return queryOptions({
    ...ASKED,
    queryKey: ["plan", language, JSON.stringify(document)],
    queryFn: ({ signal }) => planRun(document, language, signal),
    refetchInterval: ({ state }) => (isOffline(state.error) ? ASK_AGAIN_MS : false),
  });
}

/** The plan for all, whether it is already that of the last key press, and whether that can be read
 * (null until that is known); `inPieces`: it comes with the run's pieces. */
export function usePlan(
  document: RunDocument,
  language: Language,
  inPieces = false,
): { planned: PlanState; current: boolean; readable: boolean | null } {
  const alone = useQuery({ ...planQuery(document, language), enabled: !inPieces });
  const parted = useQuery({ ...inPiecesQuery(document, language), enabled: inPieces });
  const query = inPieces ? parted : alone;
  const data = inPieces ? parted.data?.plan : alone.data;
  const plan: Plan | null = useShared(data);
  const error = query.error instanceof Refused ? query.error : null;
  // While a plan is under way nothing here changes, so nothing that shows it is drawn again.
  const planned = useMemo(() => {
    const fields = error?.problem.errors ?? [];
    const about = error && error.status !== 0 && fields.length === 0;
    return {
      plan,
      stale: error !== null,
      problems: new Map(fields.map(({ path, expected }) => [path, expected])),
      offline: isOffline(error),
      refusal: about ? error.message : "",
    };
  }, [plan, error]);
  const readable = query.isPending ? null : planned.problems.size === 0;
  return { planned, current: data !== undefined, readable };
}

function isOffline(error: unknown): boolean {
  return error instanceof Refused && error.status === 0;
}
