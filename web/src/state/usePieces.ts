// The run's pieces, and the one whose marks, stick and steps are shown.
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type PiecesOfRun, partRun } from "@/api/queries";
import type { Plan } from "@/model/document";
import { useDocument, useOfJob, usePlanner, usePlanState } from "./PlannerContext";
import type { PlanState } from "./usePlan";

/** The run in pieces; asked for where it is parted, or `always`. */
export function usePieces(always = false): { made: PiecesOfRun | undefined; old: boolean } {
  const document = useDocument();
  const { rules } = useOfJob();
  const query = useQuery({
    queryKey: ["pieces", rules, JSON.stringify(document)],
    queryFn: ({ signal }) => partRun(document, rules, signal),
    enabled: always || document.joints !== undefined,
    retry: false,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
  return { made: query.data, old: query.isPlaceholderData || query.isError };
}

export type ShownPiece = PlanState & {
  /** Which piece's plan it is, counted from 1; 0: the run is one piece. */
  readonly number: number;
  readonly count: number;
  /** How many bends of the run come before the piece's first. */
  readonly bendsBefore: number;
  /** What is done to the piece before it is bent, and after. */
  readonly before: Plan["steps"];
  readonly after: Plan["steps"];
};

/** The plan whose marks are shown: of the piece that is looked at, or of the run as one. */
export function useShownPiece(): ShownPiece {
  const whole = usePlanState((state) => state);
  const parted = useDocument().joints !== undefined;
  const wanted = usePlanner((state) => state.piece);
  const { made } = usePieces();
  const pieces = parted ? (made?.pieces ?? []) : [];
  const at = Math.min(Math.max(wanted, 1), pieces.length) - 1;
  const piece = pieces[at];
  if (!piece) {
    return { ...whole, number: 0, count: 0, bendsBefore: 0, before: [], after: [] };
  }
  const bendsBefore = pieces.slice(0, at).reduce((sum, { plan }) => sum + plan.bends.length, 0);
  const plan = piece.plan as Plan;
  return {
    ...whole,
    plan,
    number: pieces.length > 1 ? at + 1 : 0,
    count: pieces.length,
    bendsBefore,
    before: piece.before,
    after: piece.after,
  };
}
