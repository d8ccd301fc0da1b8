// The orders that the run's piece can be bent in, and the one that is shown.
import { useQuery } from "@tanstack/react-query";
import { handleRun, type Order } from "@/api/planning";
import type { Place } from "@/model/commands";
import type { Finding } from "@/model/document";
import { useDocument, useOfJob, usePlanner } from "./PlannerContext";

type Handled = {
  readonly orders: readonly Order[];
  readonly findings: readonly Finding[];
  readonly order: Order | undefined;
  /** The places that the bender can be worked at. */
  readonly takes: readonly Place[];
  readonly pending: boolean;
  /** What is shown is of the document as it was before the last change. */
  readonly old: boolean;
};

export function useHandling(): Handled {
  const document = useDocument();
  const { language } = useOfJob();
  const wanted = usePlanner((state) => state.steps?.order);
  const number = usePlanner((state) => state.piece);
  const piece = document.joints ? Math.max(number, 1) : null;
  const query = useQuery({
    queryKey: ["handling", language, piece, JSON.stringify(document)],
    queryFn: ({ signal }) => handleRun(document, language, piece, signal),
    retry: false,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const orders = query.data?.orders ?? [];
  return {
    orders,
    findings: query.data?.findings ?? [],
    order: orders.find(({ name }) => name === wanted) ?? orders.find(({ taken }) => taken),
    takes: query.data?.takes ?? [],
    pending: query.isPending,
    old: query.isPlaceholderData,
  };
}
