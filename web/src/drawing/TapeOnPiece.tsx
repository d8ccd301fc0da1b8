// The piece as it is before a bend, with the tape on it that finds the mark: what it is hooked on,
// how it lies, what it reads. What is drawn is worked out by the core.
import type { BendHandling } from "@/api/planning";
import { point3 } from "@/geometry/centreline";
import { bounds, fitInto, type Point2 } from "@/geometry/views";
import type { FoundMark, Plan } from "@/model/document";
import { say } from "@/words/say";
import { beside, DrawnLine } from "./besideBender";

const MARGIN = 30;
/** How far the tape is drawn off the pipe that it lies on, and how long its ends are. */
const OFF = 12;
const TICK = 7;

type Props = {
  bend: BendHandling;
  found: FoundMark;
  plan: Pick<Plan, "conduit">;
  size: { readonly width: number; readonly height: number };
};

export function TapeOnPiece({ bend, found, plan, size }: Props) {
  const before = bend.before.map(point3).map(beside);
  const tape = bend.tape.tape.map(point3).map(beside);
  const edge = bend.tape.straightedge.map(point3).map(beside);
  const room = {
    left: MARGIN,
    right: size.width - MARGIN,
    top: MARGIN,
    bottom: size.height - MARGIN,
  };
  const placed = fitInto(bounds(edge.length > 0 ? about(tape) : [...before, ...tape]), room);
  const pipe = Math.max(plan.conduit.diameter * placed.scale, 3);
  const off = edge.length > 0 ? 0 : pipe / 2 + OFF;
  const [from, to] = tape.map(placed.place).map(([x, y]): Point2 => [x, y - off]);
  const label = say("The tape on the piece: {reads} {where}", {
    reads: found.at_mark_text,
    where: found.where,
  });
  return (
    <svg
      viewBox={`0 0 ${size.width} ${size.height}`}
      className="w-full rounded border border-line bg-canvas"
      role="img"
      aria-label={label}
      strokeLinejoin="round"
    >
      <DrawnLine points={before} placed={placed} width={pipe + 2} className="stroke-ink" />
      <DrawnLine
        points={before}
        placed={placed}
        width={Math.max(pipe, 1.5)}
        className="stroke-pipe"
      />
      {edge.length > 0 ? (
        <DrawnLine points={edge} placed={placed} width={2.5} className="stroke-soft" dash="10 4" />
      ) : null}
      {from && to ? (
        <Tape
          from={from}
          to={to}
          reads={found.at_mark_text}
          left={placed.place(edge[0] ?? [0, 0])[0] > to[0]}
        />
      ) : null}
    </svg>
  );
}

/** What is about a short tape: the leg that it is held to is seen as far as that. */
function about(tape: readonly Point2[]): Point2[] {
  const [from = [0, 0], to = [0, 0]] = tape;
  const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return [from, to].flatMap(([x, y]): Point2[] => [
    [x - 3 * long, y - long / 2],
    [x + 3 * long, y + long / 2],
  ]);
}

type TapeProps = {
  from: Point2;
  to: Point2;
  reads: string;
  /** On which side of an upright tape there is room for its figure. */
  left: boolean;
};

/** A line with an end at both sides, the one at the mark an arrow, and its figure. */
function Tape({ from, to, reads, left }: TapeProps) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const long = Math.hypot(dx, dy) || 1;
  const across: Point2 = [(-dy / long) * TICK, (dx / long) * TICK];
  const back: Point2 = [(dx / long) * TICK * 1.4, (dy / long) * TICK * 1.4];
  const upright = Math.abs(dy) > Math.abs(dx);
  const middle: Point2 = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  return (
    <g className="fill-none stroke-accent" strokeWidth="2">
      <polyline points={`${from.join()} ${to.join()}`} />
      <polyline
        points={`${from[0] - across[0]},${from[1] - across[1]} ${from[0] + across[0]},${from[1] + across[1]}`}
      />
      <polyline
        points={`${to[0] - back[0] - across[0]},${to[1] - back[1] - across[1]} ${to.join()} ${to[0] - back[0] + across[0]},${to[1] - back[1] + across[1]}`}
      />
      <text
        x={upright ? middle[0] + (left ? -16 : 16) : middle[0]}
        y={upright ? middle[1] + 6 : middle[1] - 8}
        textAnchor={upright ? (left ? "end" : "start") : "middle"}
        className="fill-accent stroke-canvas text-lg font-bold [paint-order:stroke]"
        strokeWidth="5"
      >
        {reads}
      </text>
    </g>
  );
}
