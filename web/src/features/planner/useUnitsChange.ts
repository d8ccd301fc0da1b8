// Another unit for the run: the core converts every length of it, and it is one step to undo.
import { useState } from "react";
import { convertRun } from "@/api/planning";
import type { Units } from "@/model/document";
import { usePlannerStore } from "@/state/PlannerContext";
import { say } from "@/words/say";

/** What changes the unit, and what to say where that could not be done. */
export function useUnitsChange(): readonly [(units: Units) => Promise<void>, string | null] {
  const store = usePlannerStore();
  const [problem, setProblem] = useState<string | null>(null);

  const changeUnits = async (units: Units) => {
    const before = store.getState().history.present;
    try {
      const converted = await convertRun(before, units);
      setProblem(null);
      // What was typed while the answer came is newer than the answer.
      if (store.getState().history.present === before) {
        store.getState().change(() => converted);
      }
    } catch {
      setProblem(say("The unit was not changed: Yarrow did not answer. Try again."));
    }
  };
  return [changeUnits, problem];
}
