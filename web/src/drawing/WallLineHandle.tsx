// The handle of a line of holes at the wall's left end: dragged to a height, moved by the arrow keys.
import { type KeyboardEvent, memo } from "react";
import type { WallPlan } from "@/api/walls";
import { levelled, STEP } from "@/model/wallPlaces";
import { useAsked } from "@/ui/useAsked";
import { useDragged } from "@/ui/useDragged";
import { say } from "@/words/say";
import { WALL_LEFT } from "./wallOnPaper";

type Props = {
  line: WallPlan["lines"][number];
  /** Which of the lines it is. */
  at: number;
  read: () => WallPlan;
  scale: number;
  top: number;
  /** How far its label is from it, where another line's is in the way. */
  aside: number;
  move: (line: number, height: number) => void;
};

export const WallLineHandle = memo(function WallLineHandle(props: Props) {
  const { line, at, read, scale, top, aside, move } = props;
  const [now, ask] = useAsked(line, () => line.height);
  const put = (height: number) => {
    ask(height);
    move(at, height);
  };
  const { off, handlers } = useDragged(([, down]) => {
    const plan = read();
    const others = plan.lines.filter(({ name }) => name !== line.name);
    const heights = others.map(({ height }) => height);
    put(levelled(plan, line.height - down / scale, heights));
  });
  const key = (event: KeyboardEvent) => {
    const step = STEP[read().units];
    const up = { ArrowUp: step, ArrowDown: -step }[event.key];
    if (up) {
      put(now() + up);
      event.preventDefault();
    }
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-valuenow={line.height}
      aria-valuetext={line.height_text}
      aria-label={say("Line of holes {name}: arrows move it", { name: line.name })}
      data-wall-line={line.name}
      transform={`translate(${WALL_LEFT - 6} ${top + off[1]})`}
      className="cursor-ns-resize touch-none"
      onKeyDown={key}
      {...handlers}
    >
      <rect x={-44} y={-14} width={54} height={28} className="fill-transparent" />
      <path d="M0 -6 L10 0 L0 6 Z" className="fill-ink" />
      <text x={-3} y={4 + aside} textAnchor="end" className="fill-soft text-xs">
        {line.height_text}
      </text>
    </g>
  );
});
