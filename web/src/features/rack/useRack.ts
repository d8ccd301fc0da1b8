// The plan of the run's rack; the last good one stays while a number is half typed.
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { planRack, type RackPlan } from "@/api/planning";
import { useDocument, useOfJob } from "@/state/PlannerContext";

export function useRack(): { plan: RackPlan | undefined; old: boolean } {
  const document = useDocument();
  const { language } = useOfJob();
  const query = useQuery({
    queryKey: ["rack", language, JSON.stringify(document)],
    queryFn: ({ signal }) => planRack(document, language, signal),
    enabled: document.rack !== undefined,
    retry: false,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
  return { plan: query.data, old: query.isPlaceholderData || query.isError };
}
