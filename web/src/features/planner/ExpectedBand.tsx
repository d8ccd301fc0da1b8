// How far a number may come out, as a thin band: the habit of the run, and the other one under it.
import { type Expected, halfOf, halfText, type Marking, otherHabit } from "@/model/expected";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";

const WIDTH = 52;
const HEIGHT = 8;
const OWN = { y: 0, height: 3, className: "fill-accent" };
const OTHER = { y: 5, height: 2, className: "fill-strong-line" };

type Props = { expected: Expected; marking: Marking };

/** ``widest``: of all bands of the run, in its unit; they are drawn to one scale. */
export function ExpectedBand({ expected, marking, widest }: Props & { widest: number }) {
  const bars = [
    { ...OWN, half: halfOf(expected, marking) },
    { ...OTHER, half: halfOf(expected, otherHabit(marking)) },
  ];
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
        {bars.map(({ y, height, className, half }) => {
          const wide = Math.max((half / widest) * WIDTH, 1);
          const at = { x: WIDTH - wide, y, width: wide, height };
          return <rect key={y} {...at} rx={height / 2} className={className} />;
        })}
      </svg>
    </span>
  );
}

/** The half of it by the run's habit, in figures. */
export function ExpectedHalf({ expected, marking }: Props) {
  return (
    <span className="whitespace-nowrap">
      ± <Reading text={halfText(expected, marking)} />
    </span>
  );
}
