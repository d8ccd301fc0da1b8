// A dimension as on a shop drawing: extension lines, the line with its ticks, the figure on it.
import { classes } from "@/ui/classes";
import { ReadingSpan } from "@/ui/Reading";
import { widthOf } from "@/ui/reading";
import type { DrawnDimension } from "./dimensionLayout";

const SIZE = 14;
const TICK = 5;

export function DimensionLine({ line, lit }: { line: DrawnDimension; lit: boolean }) {
  const { from, to, ends, upright, text } = line;
  const width = widthOf(text, SIZE) + 8;
  // Where the line is too short to carry its figure, the figure stands beside it.
  const aside = upright && Math.abs(to[1] - from[1]) < SIZE * 2.4 ? width / 2 + TICK : 0;
  const middle = [(from[0] + to[0]) / 2 + aside, (from[1] + to[1]) / 2] as const;
  return (
    <g className={lit ? "stroke-accent" : "stroke-strong-line"} data-dimension={line.key}>
      {ends.map((end, index) => {
        const on = index === 0 ? from : to;
        return (
          <line
            key={index === 0 ? "begin" : "end"}
            x1={end[0]}
            y1={end[1]}
            x2={on[0]}
            y2={on[1]}
            strokeWidth="0.8"
            strokeDasharray="2 3"
          />
        );
      })}
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} strokeWidth="1" />
      {[from, to].map(([x, y], index) => (
        <line
          key={index === 0 ? "begin" : "end"}
          x1={upright ? x - TICK : x}
          x2={upright ? x + TICK : x}
          y1={upright ? y : y - TICK}
          y2={upright ? y : y + TICK}
          strokeWidth="1.2"
        />
      ))}
      {aside ? null : (
        <rect
          x={middle[0] - width / 2}
          y={middle[1] - SIZE * 0.65}
          width={width}
          height={SIZE * 1.3}
          className="fill-canvas stroke-none"
        />
      )}
      <text
        x={middle[0]}
        y={middle[1] + SIZE * 0.35}
        textAnchor="middle"
        fontSize={SIZE}
        strokeWidth="4"
        className={classes(
          "stroke-canvas font-semibold [paint-order:stroke]",
          lit ? "fill-accent" : "fill-ink",
        )}
      >
        <ReadingSpan text={text} size={SIZE} />
      </text>
    </g>
  );
}
