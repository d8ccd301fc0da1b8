// The planner's store and plan, for every part of its screen.
import { createContext, useContext } from "react";
import { type StoreApi, useStore } from "zustand";
import { useShallow } from "zustand/react/shallow";
import type { Language, Rules } from "@/api/planning";
import type { Plan, RunDocument } from "@/model/document";
import type { PlannerState, PlannerStore } from "@/model/store";
import type { PlanState } from "@/state/usePlan";

export const StoreContext = createContext<PlannerStore | null>(null);
export type OfJob = {
  readonly id: number;
  readonly name: string;
  readonly rules: Rules;
  readonly language: Language;
  /** The framed wall that makes the run, if one does. */
  readonly wall: { readonly id: number; readonly name: string } | null;
};

export const JobContext = createContext<OfJob>({
  id: 0,
  name: "",
  rules: "us",
  language: "en-US",
  wall: null,
});
export const PlanContext = createContext<StoreApi<PlanState> | null>(null);

export function usePlannerStore(): PlannerStore {
  const store = useContext(StoreContext);
  if (!store) {
    throw new Error("outside of the planner");
  }
  return store;
}

export function useOfJob(): OfJob {
  return useContext(JobContext);
}

export function usePlanner<T>(choose: (state: PlannerState) => T): T {
  return useStore(usePlannerStore(), choose);
}

export function useDocument(): RunDocument {
  return usePlanner((state) => state.history.present);
}

/** A part of how planning stands: what shows it is drawn again when that part is another. */
export function usePlanState<T>(choose: (state: PlanState) => T): T {
  const store = useContext(PlanContext);
  if (!store) {
    throw new Error("outside of the planner");
  }
  return useStore(store, useShallow(choose));
}

/** The last plan that there was. */
export function useLastPlan(): Plan | null {
  return usePlanState(({ plan }) => plan);
}
