// The handle of a line of holes at the wall's left end: dragged to a height, moved by the arrow keys.
import type { KeyboardEvent } from "react";
import type { WallPlan } from "@/api/queries";
import { levelled, STEP } from "@/model/wallPlaces";
import { useDragged } from "@/ui/useDragged";

type Props = {
  line: WallPlan["lines"][number];
  plan: WallPlan;
  scale: number;
  place: readonly [number, number];
  move: (height: number) => void;
};

export function WallLineHandle({ line, plan, scale, place, move }: Props) {
  const others = plan.lines.filter(({ name }) => name !== line.name).map(({ height }) => height);
  const { off, handlers } = useDragged(([, down]) =>
    move(levelled(plan, line.height - down / scale, others)),
  );
  const key = (event: KeyboardEvent) => {
    const up = { ArrowUp: STEP[plan.units], ArrowDown: -STEP[plan.units] }[event.key];
    if (up) {
      move(line.height + up);
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
      aria-label={`Line of holes ${line.name}: arrows move it`}
      data-wall-line={line.name}
      transform={`translate(${place[0]} ${place[1] + off[1]})`}
      className="cursor-ns-resize touch-none"
      onKeyDown={key}
      {...handlers}
    >
      <rect x={-24} y={-14} width={34} height={28} className="fill-transparent" />
      <path d="M0 -6 L10 0 L0 6 Z" className="fill-ink" />
      <text x={-3} y={4} textAnchor="end" className="fill-soft text-xs">
        {line.height_text}
      </text>
    </g>
  );
}
