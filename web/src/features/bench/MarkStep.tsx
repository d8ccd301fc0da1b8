// The first step at the bench: every mark by itself, large, in the order that the tape has them, and
// where it lies on the stick.
import type { BenchPlan } from "@/api/bench";
import { MarkedStick } from "@/drawing/MarkedStick";
import { Icon } from "@/ui/Icon";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";

export function MarkStep({ plan }: { plan: BenchPlan }) {
  const marks = plan.order.marks.toSorted((one, other) => one.position - other.position);
  const cut = plan.planned.cut_length_text;
  return (
    <>
      <p className="text-lg text-soft">{say("From the start end, the tape hooked once:")}</p>
      <ul className="grid gap-x-10 desk:grid-cols-2" data-marks>
        {marks.map((mark) => (
          <li
            key={mark.bend}
            className="flex items-baseline gap-4 border-b border-line py-1.5 text-lg"
          >
            <span className="min-w-36 text-4xl font-bold">
              <Reading text={mark.text} />
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
        <li className="flex items-baseline gap-4 border-b border-line py-1.5 text-lg">
          <span className="min-w-36 text-4xl font-bold">
            <Reading text={cut} />
          </span>
          <span className="text-soft">{say("the cut, once all of it is bent")}</span>
        </li>
      </ul>
      <MarkedStick cutLength={plan.planned.cut_length} marks={marks} />
    </>
  );
}
