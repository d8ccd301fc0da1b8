// The work in order: each step with its picture, what the half-bent pipe meets, and what helps.
import { useQuery } from "@tanstack/react-query";
import { memo, useState } from "react";
import { handleRun, type Order } from "@/api/queries";
import { HalfBent } from "@/drawing/HalfBent";
import { Choice } from "@/ui/Choice";
import { useDocument, usePlanner, usePlanState } from "./PlannerContext";

/** The order that the plan's own marks are made for. */
const AS_MARKED = "from the start";

export const StepsPane = memo(function StepsPane() {
  const document = useDocument();
  const { plan } = usePlanState();
  const [wanted, setWanted] = useState("");
  const query = useQuery({
    queryKey: ["handling", JSON.stringify(document)],
    queryFn: ({ signal }) => handleRun(document, signal),
    retry: false,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const orders = query.data?.orders ?? [];
  // The marks on the stick and in the table are those of this order, whichever costs less.
  const marked = orders.find(({ name }) => name === AS_MARKED);
  const order = orders.find(({ name }) => name === wanted) ?? marked;
  const better = orders.find(({ chosen }) => chosen);
  if (!order || !plan) {
    return (
      <p className="px-4 py-2 text-soft">
        {query.isPending
          ? "Working out the order …"
          : "No steps: there is nothing to bend, or the run can't be made as it is written."}
      </p>
    );
  }
  return (
    <div className={query.isPlaceholderData ? "opacity-60" : ""}>
      {orders.length > 1 ? (
        <div className="px-4 pb-2 text-sm">
          <Choice
            label="Order"
            value={order.name}
            options={orders.map(({ name }) => ({ value: name, label: capital(name) }))}
            onChange={setWanted}
          />
        </div>
      ) : null}
      <p className="px-4 pb-2 text-sm text-soft">
        {order === better
          ? order.reason
          : better
            ? `${order.reason} Beginning ${better.name} costs less.`
            : ""}{" "}
        {counted(order.turns, "turn")}, {counted(order.flips, "flip")} end for end.
      </p>
      {order !== marked ? (
        <p
          role="status"
          className="mx-4 mb-2 border-l-3 border-amber bg-amber-soft px-2.5 py-1 text-sm text-ink"
        >
          This order has marks of its own: those in its first step, not the ones on the stick.
        </p>
      ) : null}
      <ol>
        {order.steps.map((step) => (
          <Step key={step.number} step={step} order={order} radius={plan.bender.radius} />
        ))}
      </ol>
    </div>
  );
});

function Step({
  step,
  order,
  radius,
}: {
  step: Order["steps"][number];
  order: Order;
  radius: number;
}) {
  const point = usePlanner((state) => state.point);
  const bend = order.bends.find((each) => each.step === step.number);
  return (
    <li
      data-step={step.number}
      onPointerEnter={() => point(bend?.bend ?? null)}
      onPointerLeave={() => point(null)}
      className="border-t border-line px-4 py-2"
    >
      <p className="font-semibold">
        {step.number}. {step.title}
      </p>
      <p className="text-sm">{whole(step.do)}</p>
      <p className="text-sm text-soft">Check: {step.check}</p>
      {bend ? <HalfBent bend={bend} radius={radius} /> : null}
      {bend?.meets.map((met) => (
        <div
          key={met.what}
          data-meets={met.what}
          className="mt-1.5 border-l-3 border-amber pl-2.5 text-sm"
        >
          <p>{met.text}</p>
        </div>
      ))}
      {bend && bend.helps.length > 0 ? (
        <ul className="mt-1 list-disc pl-7 text-sm text-soft">
          {bend.helps.map((help) => (
            <li key={help}>{help}</li>
          ))}
        </ul>
      ) : null}
      <p className="mt-1 text-xs text-soft">{step.caution}</p>
    </li>
  );
}

/** A mixed number is one reading: no line ends between its whole and its fraction. */
function whole(text: string): string {
  return text.replace(/(\d) (\d+\/)/g, "$1\u00a0$2");
}

function counted(count: number, word: string): string {
  return `${count} ${word}${count === 1 ? "" : "s"}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
