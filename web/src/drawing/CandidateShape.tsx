// A way to bend as a small drawing: its legs and slopes at their angle, seen from the side.
import type { Candidate } from "@/model/document";

const WIDE = 84;
const HIGH = 34;
const BASE = 28;
const RISE = 10;

type Point = readonly [number, number];

/** The line of a kind, from left to right; a steeper slope takes less of the way. */
const LINES: Readonly<Record<string, (run: number) => readonly Point[]>> = {
  offset: (run) => [
    [0, 0],
    [42 - run / 2, 0],
    [42 + run / 2, RISE],
    [WIDE, RISE],
  ],
  box_offset: (run) => [
    [0, RISE / 2],
    [14, RISE / 2],
    [14 + run, 0],
    [WIDE, 0],
  ],
  saddle3: (run) => [
    [0, 0],
    [42 - run, 0],
    [42, RISE],
    [42 + run, 0],
    [WIDE, 0],
  ],
  saddle4: (run) => [
    [0, 0],
    [32 - run, 0],
    [32, RISE],
    [52, RISE],
    [52 + run, 0],
    [WIDE, 0],
  ],
  kick: (run) => [
    [0, 0],
    [42, 0],
    [Math.min(42 + run, WIDE), RISE * Math.min(1, 42 / run)],
  ],
  turn: () => [
    [0, 0],
    [56, 0],
    [56, 26],
  ],
};

export function CandidateShape({ candidate }: { candidate: Candidate }) {
  const { kind, angle, fits } = candidate;
  // The centre of a 3-bend saddle bends by both of its slopes.
  const slope = kind === "saddle3" ? angle / 2 : angle;
  const run = Math.min(RISE / Math.tan((Math.max(slope, 8) * Math.PI) / 180), 40);
  const line = LINES[kind]?.(run) ?? [
    [0, 0],
    [WIDE, 0],
  ];
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="h-8 w-full" aria-hidden="true">
      <polyline
        points={line.map(([x, y]) => `${x},${BASE - y}`).join(" ")}
        fill="none"
        strokeWidth="3.5"
        strokeLinejoin="round"
        className={fits ? "stroke-ink" : "stroke-strong-line"}
      />
    </svg>
  );
}
