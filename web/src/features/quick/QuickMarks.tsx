// The marks of a quick bend, large, in the order that they are bent, with the bender beside them.
import { InBender } from "@/drawing/InBender";
import { Findings } from "@/features/walk/Findings";
import { useLastPlan, usePlanner } from "@/state/PlannerContext";
import { useHandling } from "@/state/useHandling";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { Reading } from "@/ui/Reading";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

const HIGH = 300;

export function QuickMarks() {
  const plan = useLastPlan();
  const { order, old } = useHandling();
  const pointed = usePlanner((state) => state.pointed);
  const point = usePlanner((state) => state.point);
  const [frame, room] = useSize<HTMLDivElement>();
  if (!plan) {
    return null;
  }
  const shown = order?.bends.find(({ bend }) => bend === pointed) ?? order?.bends[0];
  const step = order?.steps.find(({ number }) => number === shown?.step);
  const alone = order?.bends.length === 1;
  return (
    <div className="grid gap-x-8 gap-y-3 px-5 pb-4 desk:grid-cols-[20rem_minmax(0,1fr)] desk:px-12">
      <div>
        <ol className={classes("grid gap-1", old && "opacity-60")}>
          {order?.bends.map(({ bend, hook }) => {
            const mark = order.marks[bend];
            const to = plan.working[bend]?.bend_to_text;
            const kept = plan.bends[bend]?.angle ?? 0;
            return (
              <li key={bend}>
                <button
                  type="button"
                  data-quick-mark={bend}
                  aria-pressed={shown?.bend === bend}
                  onClick={() => point(bend)}
                  className={classes(
                    "block w-full rounded-md border-l-3 px-3 py-1.5 text-left",
                    shown?.bend === bend ? "border-accent" : "border-transparent hover:bg-raised",
                  )}
                >
                  <span className="block text-sm text-soft">
                    {mark?.name} {say("on")}
                    {alone ? "" : ` · ${say("bend {bend}", { bend: bend + 1 })}`}
                  </span>
                  <Reading
                    text={mark?.text ?? ""}
                    className={classes(
                      "block leading-tight font-bold",
                      alone ? "text-6xl" : "text-4xl",
                    )}
                  />
                  <span className="block font-semibold text-accent">
                    {to ? say("bend to {to}", { to }) : null}
                    <span className="font-normal text-soft">
                      {" "}
                      {say("stays at {kept}°, hook to the {hook}", {
                        kept: Number(kept.toFixed(1)),
                        hook,
                      })}
                    </span>
                  </span>
                </button>
              </li>
            );
          })}
        </ol>
        <Findings findings={plan.findings} />
      </div>
      <div ref={frame} className="min-w-0">
        {shown && step && room.width > 0 ? (
          <>
            <InBender
              bend={shown}
              plan={plan}
              mark={order?.marks[shown.bend]?.text}
              size={{ width: room.width, height: HIGH }}
            />
            <p className="pt-2">
              <Figures text={step.do} />
            </p>
            <p className="text-sm text-soft">
              {sayWith("Check: {check} {caution}", {
                check: <Figures text={step.check} />,
                caution: step.caution,
              })}
            </p>
          </>
        ) : null}
      </div>
    </div>
  );
}
