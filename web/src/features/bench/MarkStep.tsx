// The first step at the bench: every mark that goes on the straight pipe by itself, large, in the
// order that the tape has them, and where it lies on the stick.
import type { BenchPlan } from "@/api/bench";
import { MarkedStick } from "@/drawing/MarkedStick";
import { Icon } from "@/ui/Icon";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";

/** ``marks`` are all, or the few that only the straight pipe tells. */
export function MarkStep({ plan, marks }: { plan: BenchPlan; marks: BenchPlan["order"]["marks"] }) {
  const asYouGo = plan.planned.marking === "as-you-go";
  const flat = new Map(plan.order.finding_marks.map((mark) => [mark.bend ?? null, mark]));
  const cut = flat.get(null);
  const from = cut?.first ?? "start";
  const ordered = marks.toSorted((one, other) => one.position - other.position);
  return (
    <>
      <p className="text-lg text-soft">
        {asYouGo
          ? say("Before anything is bent, from the {from}: no tape finds them on the bent piece.", {
              from,
            })
          : say("From the start end, the tape hooked once:")}
      </p>
      <ul className="grid gap-x-10 desk:grid-cols-2" data-marks>
        {ordered.map((mark) => (
          <li
            key={mark.bend}
            className="flex items-baseline gap-4 border-b border-line py-1.5 text-lg"
          >
            <span className="min-w-36 text-4xl font-bold">
              <Reading
                text={asYouGo ? (flat.get(mark.bend)?.reads_text ?? mark.text) : mark.text}
              />
            </span>
            <span className="text-soft">
              {say("bend {bend}, {name}", { bend: mark.bend + 1, name: mark.name })}
            </span>
            <span className="ml-auto flex items-center gap-1 self-center whitespace-nowrap text-soft">
              {say("hook")}
              <Icon name={mark.hook === "end" ? "next" : "back"} className="size-5" />
              <span className="sr-only">{say("toward the {hook}", { hook: mark.hook })}</span>
            </span>
          </li>
        ))}
        {asYouGo && !cut?.flat ? null : (
          <li className="flex items-baseline gap-4 border-b border-line py-1.5 text-lg">
            <span className="min-w-36 text-4xl font-bold">
              <Reading text={asYouGo ? (cut?.reads_text ?? "") : plan.planned.cut_length_text} />
            </span>
            <span className="text-soft">{say("the cut, once all of it is bent")}</span>
          </li>
        )}
      </ul>
      {asYouGo ? null : <MarkedStick cutLength={plan.planned.cut_length} marks={ordered} />}
    </>
  );
}
