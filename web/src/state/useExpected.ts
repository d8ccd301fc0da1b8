// How far a line's numbers may come out by one way to take it: of the way that is taken the plan
// says so already, another's is asked for once it is looked at.
import { useQuery } from "@tanstack/react-query";
import type { Change } from "@/model/commands";
import type { Plan } from "@/model/document";
import { type Expected, halfOf, type Marking } from "@/model/expected";
import { useDocument, useLastPlan, useOfJob } from "./PlannerContext";
import { planQuery } from "./usePlan";

export type WidestOfLine = { readonly expected: Expected; readonly marking: Marking };

/** The number of a line that may come out farthest off, by the run's own habit; null while that is
 * not known, or where no pipe comes out. ``other`` is the change that takes the way that is looked
 * at; null: it is the taken one. */
export function useWidestOfLine(feature: number, other: Change | null): WidestOfLine | null {
  const document = useDocument();
  const { language } = useOfJob();
  const taken = useLastPlan();
  const { data } = useQuery({
    ...planQuery(other ? other(document) : document, language),
    enabled: other !== null,
    refetchInterval: false,
  });
  const plan: Plan | null | undefined = other ? data : taken;
  return plan ? widestOfLine(plan, feature) : null;
}

function widestOfLine({ expected, marking }: Plan, feature: number): WidestOfLine | null {
  const [widest] = expected
    .filter((one) => one.feature === feature)
    .toSorted((a, b) => halfOf(b, marking) - halfOf(a, marking));
  return widest ? { expected: widest, marking } : null;
}
