// The run's pieces, and the one whose marks, stick and steps are shown.
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { createContext, useContext, useLayoutEffect, useState } from "react";
import { type StoreApi, useStore } from "zustand";
import { createStore } from "zustand/vanilla";
import type { Language, PiecesOfRun } from "@/api/planning";
import type { Plan, RunDocument } from "@/model/document";
import { usePlanner, usePlanState } from "./PlannerContext";
import { inPiecesQuery, type PlanState } from "./usePlan";
import { useShared } from "./useShared";

export type PiecesState = {
  readonly made: PiecesOfRun | undefined;
  /** Whether they are from before the last key press, or of what can't be parted. */
  readonly old: boolean;
  /** How many look at them, though the run is not parted yet. */
  readonly looking: number;
};

const NOTHING: PiecesState = { made: undefined, old: false, looking: 0 };
const NO_PIECES = createStore<PiecesState>(() => NOTHING);

export const PiecesContext = createContext<StoreApi<PiecesState>>(NO_PIECES);

/** The run's pieces for the planner's whole screen, and whether they are asked for: where it is
 * parted, or looked at so. */
export function useWantedPieces(
  document: RunDocument,
  language: Language,
): { pieces: StoreApi<PiecesState>; wanted: boolean } {
  const [store] = useState(() => createStore<PiecesState>(() => NOTHING));
  const looking = useStore(store, (state) => state.looking > 0);
  const wanted = looking || document.joints !== undefined;
  const query = useQuery({
    ...inPiecesQuery(document, language),
    enabled: wanted,
    placeholderData: keepPreviousData,
  });
  const shared = useShared(query.data?.pieces);
  const made = query.data ? (shared ?? undefined) : undefined;
  const old = query.isPlaceholderData || query.isError;
  useLayoutEffect(() => store.setState({ made, old }), [store, made, old]);
  return { pieces: store, wanted };
}

export function usePieces<T>(choose: (pieces: PiecesState) => T): T {
  return useStore(useContext(PiecesContext), choose);
}

/** While this is shown the run's pieces are asked for, whether or not it is parted. */
export function useLookAtPieces(): void {
  const store = useContext(PiecesContext);
  useLayoutEffect(() => {
    store.setState(({ looking }) => ({ looking: looking + 1 }));
    return () => store.setState(({ looking }) => ({ looking: looking - 1 }));
  }, [store]);
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
  const parted = usePlanner((state) => state.history.present.joints !== undefined);
  const wanted = usePlanner((state) => state.piece);
  const made = usePieces((state) => state.made);
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
