// What the pipe comes out as, dimension by dimension; with printed marks, the exact ones beside.
import { memo, useDeferredValue } from "react";
import { FIELD } from "@/kinds/words";
import type { Plan } from "@/model/document";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

type Dimension = Plan["dimensions"][number];

/** Drawn after the marks: who types looks at those. */
export function Comparison({ plan }: { plan: Plan }) {
  const drawn = useDeferredValue(plan, null);
  return drawn && drawn.dimensions.length > 0 ? <Dimensions plan={drawn} /> : null;
}

const Dimensions = memo(function Dimensions({ plan }: { plan: Plan }) {
  const beside = plan.beside;
  const printed = plan.method === "table";
  return (
    <section className="border-t border-line px-4 pt-3">
      <h2 className="pb-1 text-sm font-semibold text-soft">
        {printed ? say("By the printed marks, it measures") : say("As marked, it measures")}
      </h2>
      <table className="w-full text-sm">
        <thead className="text-left text-soft">
          <tr>
            <th className="font-normal">{say("Line")}</th>
            <th className="text-right font-normal">{say("Asked")}</th>
            <th className="text-right font-normal">{printed ? say("Printed") : say("Off by")}</th>
            {beside ? (
              <th className="text-right font-normal">{printed ? say("Exact") : say("Printed")}</th>
            ) : null}
          </tr>
        </thead>
        <tbody>
          {plan.dimensions.map((dimension, index) => (
            <tr key={`${dimension.feature}-${dimension.field}`} className="border-t border-line">
              <td className="py-0.5">
                {dimension.feature + 1}, {FIELD[dimension.field as keyof typeof FIELD]}
              </td>
              <td className="text-right">
                <Reading text={dimension.asked_text} />
              </td>
              <Off dimension={dimension} />
              {beside ? <Off dimension={beside.dimensions[index]} /> : null}
            </tr>
          ))}
        </tbody>
      </table>
      {beside ? (
        <p className="pt-2 text-sm text-soft">
          {beside.marks.length > 0
            ? sayWith(
                printed
                  ? "Exact marks: {marks}, and the cut at {cut}"
                  : "Printed marks: {marks}, and the cut at {cut}",
                {
                  marks: beside.marks.map((mark) => mark.text).join(", "),
                  cut: <Reading text={beside.cut_length_text} />,
                },
              )
            : sayWith("The cut, by either method, at {cut}", {
                cut: <Reading text={beside.cut_length_text} />,
              })}
        </p>
      ) : null}
    </section>
  );
});

function Off({ dimension }: { dimension: Dimension | undefined }) {
  const off = dimension?.off_text ?? "";
  return (
    <td className={`text-right font-semibold ${off === "0" ? "text-soft" : "text-amber"}`}>
      <Reading text={off} />
    </td>
  );
}
