// What the pipe comes out as, dimension by dimension; with printed marks, the exact ones beside.
import { memo, useDeferredValue } from "react";
import { FIELD } from "@/kinds/words";
import type { Plan } from "@/model/document";
import { widestOf } from "@/model/expected";
import { Figures } from "@/ui/Figures";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { ExpectedBand } from "./ExpectedBand";

type Dimension = Plan["dimensions"][number];

/** Drawn after the marks: who types looks at those. */
export function Comparison({ plan }: { plan: Plan }) {
  const drawn = useDeferredValue(plan, null);
  return drawn && drawn.dimensions.length > 0 ? <Dimensions plan={drawn} /> : null;
}

const Dimensions = memo(function Dimensions({ plan }: { plan: Plan }) {
  const beside = plan.beside;
  const printed = plan.method === "table";
  const widest = widestOf(plan.expected);
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
            <th className="whitespace-nowrap text-right font-normal">
              {printed ? say("Printed") : say("Off by")}
            </th>
            {beside ? (
              <th className="text-right font-normal">{printed ? say("Exact") : say("Printed")}</th>
            ) : null}
            {plan.expected.length > 0 ? (
              <th className="text-right font-normal">{say("19 of 20")}</th>
            ) : null}
          </tr>
        </thead>
        <tbody>
          {plan.dimensions.map((dimension, index) => (
            <tr
              key={`${dimension.feature}-${dimension.field}`}
              className="border-t border-line align-top"
            >
              <td className="whitespace-nowrap py-0.5">
                {dimension.feature + 1}, {FIELD[dimension.field as keyof typeof FIELD]}
              </td>
              <td className="text-right">
                <Reading text={dimension.asked_text} />
              </td>
              <Off dimension={dimension} />
              {beside ? <Off dimension={beside.dimensions[index]} /> : null}
              <Within plan={plan} index={index} widest={widest} />
            </tr>
          ))}
        </tbody>
      </table>
      {plan.expected.length > 0 ? (
        <p className="pt-1 text-right text-xs text-soft">
          {plan.marking === "flat"
            ? say("19 of 20 pieces come out within it; the line under it: marked as you go")
            : say("19 of 20 pieces come out within it; the line under it: marked flat")}
        </p>
      ) : null}
      <ToExpect said={plan.to_expect} />
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

function Within({ plan, index, widest }: { plan: Plan; index: number; widest: number }) {
  const expected = plan.expected[index];
  return expected ? (
    <td className="pl-2 text-right">
      <ExpectedBand expected={expected} marking={plan.marking} widest={widest} />
    </td>
  ) : null;
}

/** Each said once, where it matters. */
function ToExpect({ said }: { said: Plan["to_expect"] }) {
  return [said.habits, said.narrowed, said.taken_up].map((sentence) =>
    sentence ? (
      <p key={sentence} className="pt-2 text-sm">
        <Figures text={sentence} />
      </p>
    ) : null,
  );
}
