// A pull box to scale: raceways on its walls, what is pulled from which to which, and its sides.
import type { Schemas } from "@/api/client";
import { LANGUAGE_OF, term, wordFor } from "@/model/wording";
import { say } from "@/words/say";
import { trimmed } from "@/words/text";
import { BoxFrame } from "./BoxFrame";
import { type BoxView, onWall, outside, standing } from "./boxWalls";

type Answer = Schemas["PullBoxResult"];
type Placed = Answer["placed"][number];

const MARGIN = 72;
/** How long a raceway is drawn outside of the box, of the box's longer side. */
const STUB = 0.08;

export function PullBoxDrawing({ answer }: { answer: Answer }) {
  const { drawn, least, units } = answer;
  // Said twice, a pull is drawn once.
  const pulls = [...new Map(answer.pulls.map((pull) => [pull.ends.join("-"), pull])).values()];
  return (
    <BoxFrame
      label={`A box ${drawn.width} by ${drawn.height} ${units} with ${answer.placed.length} ${wordFor(term("raceway"), LANGUAGE_OF[units])}s`}
      sides={drawn}
      margin={MARGIN}
    >
      {(view, room) => (
        <>
          {answer.placed.map((each) => (
            <Raceway key={each.id} placed={each} view={view} answer={answer} />
          ))}
          {pulls.map((pull) => (
            <Pull key={pull.ends.join("-")} pull={pull} view={view} answer={answer} />
          ))}
          <text
            x={view.left + view.width / 2}
            y={room.height - 8}
            textAnchor="middle"
            fill="var(--ink)"
          >
            {say("{width} {units} wide as drawn, at least {least}", {
              width: trimmed(drawn.width),
              units,
              least: trimmed(least.width),
            })}
          </text>
          <text
            transform={`translate(14 ${view.top + view.height / 2}) rotate(-90)`}
            textAnchor="middle"
            fill="var(--ink)"
          >
            {say("{height} {units} high, at least {least}", {
              height: trimmed(drawn.height),
              units,
              least: trimmed(least.height),
            })}
          </text>
        </>
      )}
    </BoxFrame>
  );
}

type Props = { view: BoxView; answer: Answer };

function Raceway({ placed, view, answer }: Props & { placed: Placed }) {
  const stub = Math.max(answer.drawn.width, answer.drawn.height) * STUB;
  const pipe = standing(view, placed.wall, placed.along, placed.hole, -stub, 0);
  const ring = standing(view, placed.wall, placed.along, placed.ring, 0, stub * 0.12);
  const label = outside(view, placed.wall, placed.along, stub);
  return (
    <g data-raceway={placed.id}>
      <rect {...pipe} fill="var(--pipe)" stroke="var(--strong-line)" />
      <rect {...ring} fill="var(--strong-line)" />
      <text {...label} fontWeight={700} fill="var(--ink)">
        {`${placed.id} ${placed.size.replace("-", " ")}`}
      </text>
    </g>
  );
}

function Pull({ pull, view, answer }: Props & { pull: Answer["pulls"][number] }) {
  const [one, other] = pull.ends.map((id) => answer.placed.find((each) => each.id === id));
  if (!one || !other) {
    return null;
  }
  const deep = Math.min(answer.drawn.width, answer.drawn.height) * 0.45;
  const from = onWall(view, one.wall, one.along);
  const to = onWall(view, other.wall, other.along);
  const bend = onWall(view, one.wall, one.along, deep);
  const back = onWall(view, other.wall, other.along, deep);
  const short = pull.drawn < pull.apart - 1e-6;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  return (
    <g>
      <path
        d={`M ${from.x} ${from.y} C ${bend.x} ${bend.y} ${back.x} ${back.y} ${to.x} ${to.y}`}
        fill="none"
        stroke="var(--accent)"
        strokeWidth={3}
      />
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke={short ? "var(--brick)" : "var(--strong-line)"}
        strokeDasharray="5 4"
      />
      <text
        x={middle.x}
        y={middle.y}
        textAnchor="middle"
        fill={short ? "var(--brick)" : "var(--ink)"}
        stroke="var(--paper)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {say("{drawn} apart, at least {apart}", {
          drawn: trimmed(pull.drawn),
          apart: trimmed(pull.apart),
        })}
      </text>
    </g>
  );
}
