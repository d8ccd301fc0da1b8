// The order of work of the run, as far as it is ticked off.
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type OrderOfWork, orderOfWork } from "@/api/planning";
import { useDocument, useOfJob } from "./PlannerContext";

export function useWork(): { work: OrderOfWork | undefined; old: boolean } {
  const document = useDocument();
  const { language } = useOfJob();
  const query = useQuery({
    queryKey: ["work", language, JSON.stringify(document)],
    queryFn: ({ signal }) => orderOfWork(document, language, signal),
    retry: false,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
  return { work: query.data, old: query.isError };
}
