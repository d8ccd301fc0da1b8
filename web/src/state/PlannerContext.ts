// The planner's store and plan, for every part of its screen.
import { createContext, useContext } from "react";
import { useStore } from "zustand";
import type { RunDocument } from "@/model/document";
import type { PlannerState, PlannerStore } from "@/model/store";
import type { PlanState } from "@/state/usePlan";

export const StoreContext = createContext<PlannerStore | null>(null);
export type OfJob = { readonly id: number; readonly name: string; readonly rules: "us" | "uk" };

export const JobContext = createContext<OfJob>({ id: 0, name: "", rules: "us" });
export const PlanContext = createContext<PlanState | null>(null);

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

export function usePlanState(): PlanState {
  const state = useContext(PlanContext);
  if (!state) {
    throw new Error("outside of the planner");
  }
  return state;
}
