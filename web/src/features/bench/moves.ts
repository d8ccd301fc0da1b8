// Where a piece at the bench stands, and the ways on from there.
import type { useBench } from "./useBench";

export function movesOf({ plan, progress, go, read, old }: ReturnType<typeof useBench>) {
  const steps = plan?.order.steps ?? [];
  const step = steps[progress.at];
  const mend = plan?.mend[0];
  /** What was read of the bend that is to be mended, and what a person says of that. */
  const mended = (of: { done: true } | { as_is: true }) => {
    // Told once: a second tap would be of what comes next.
    if (mend && !old) {
      read(mend.bend, { ...progress.readings[String(mend.bend)], ...of });
    }
  };
  return {
    steps,
    step,
    mend,
    /** While a bend waits to be mended, nothing can be said of the next one. */
    bend: !mend && typeof step?.bend === "number" ? step.bend : null,
    mended,
    onward: () => (mend ? mended({ done: true }) : go(progress.at + 1)),
    back: () => go(mend ? steps.findIndex((each) => each.bend === mend.bend) : progress.at - 1),
  };
}
