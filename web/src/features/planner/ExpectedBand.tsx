// How far a number may come out, as a thin band: the habit of the run, and the other one under it.
import type { Plan } from "@/model/document";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";

export type Expected = Plan["expected"][number];

const WIDTH = 52;
const HEIGHT = 8;

/** ``widest``: of all bands of the run, in its unit; they are drawn to one scale. */
export function ExpectedBand({
  expected,
  marking,
  widest,
}: {
  expected: Expected;
  marking: Plan["marking"];
  widest: number;
}) {
  const flat = marking === "flat";
  const own = flat ? expected.flat : expected.as_you_go;
  const other = flat ? expected.as_you_go : expected.flat;
  const wide = (half: number) => Math.max((half / widest) * WIDTH, 1);
  return (
    <span className="inline-flex flex-col items-end whitespace-nowrap">
      <ExpectedHalf expected={expected} marking={marking} />
      <svg
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={say("Marked flat ± {flat}, as you go ± {going}", {
          flat: expected.flat_text,
          going: expected.as_you_go_text,
        })}
      >
        <rect
          x={WIDTH - wide(own)}
          y="0"
          width={wide(own)}
          height="3"
          rx="1.5"
          className="fill-accent"
        />
        <rect
          x={WIDTH - wide(other)}
          y="5"
          width={wide(other)}
          height="2"
          rx="1"
          className="fill-strong-line"
        />
      </svg>
    </span>
  );
}

/** The half of it by the run's habit, in figures. */
export function ExpectedHalf({
  expected,
  marking,
}: {
  expected: Expected;
  marking: Plan["marking"];
}) {
  return (
    <span className="whitespace-nowrap">
      ± <Reading text={marking === "flat" ? expected.flat_text : expected.as_you_go_text} />
    </span>
  );
}

/** The widest band of a run, by either habit. */
export function widestOf(expected: readonly Expected[]): number {
  return Math.max(...expected.flatMap(({ flat, as_you_go }) => [flat, as_you_go]), Number.EPSILON);
}
