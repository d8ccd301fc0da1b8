// A box of a framed wall: dragged to a stud's face and a height, moved by the arrow keys, and tapped to
// begin or end a feed.
import { type KeyboardEvent, memo } from "react";
import type { WallPlan } from "@/api/walls";
import {
  faceAt,
  faceOf,
  levelled,
  middleOf,
  nextFace,
  type PlacedOnWall,
  STEP,
} from "@/model/wallPlaces";
import { classes } from "@/ui/classes";
import { useAsked } from "@/ui/useAsked";
import { useDragged } from "@/ui/useDragged";
import { say } from "@/words/say";

type Props = {
  box: WallPlan["boxes"][number];
  /** Which of the boxes it is. */
  at: number;
  read: () => WallPlan;
  scale: number;
  left: number;
  top: number;
  /** Whether a feed is begun at it. */
  chosen: boolean;
  choose: (name: string) => void;
  move: (box: number, placed: PlacedOnWall) => void;
};

export const WallBoxHandle = memo(function WallBoxHandle(props: Props) {
  const { box, at, read, scale, left, top, chosen, choose, move } = props;
  const wide = (box.ends - box.begins) * scale;
  const tall = (box.top - box.bottom) * scale;
  const [now, ask] = useAsked<PlacedOnWall>(box, () => ({
    ...faceOf(read(), box),
    height: box.top,
  }));
  const put = (placed: PlacedOnWall) => {
    ask(placed);
    move(at, placed);
  };
  const { off, handlers } = useDragged(
    ([across, down]) => {
      const plan = read();
      const others = plan.boxes.filter(({ name }) => name !== box.name);
      const height = levelled(
        plan,
        box.top - down / scale,
        others.map((other) => other.top),
      );
      put({ ...faceAt(plan, box, middleOf(box) + across / scale), height });
    },
    () => choose(box.name),
  );
  const key = (event: KeyboardEvent) => {
    const plan = read();
    const step = STEP[plan.units];
    const up = { ArrowUp: step, ArrowDown: -step }[event.key];
    const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (up) {
      put({ ...now(), height: now().height + up });
    } else if (way) {
      put({ ...now(), ...nextFace(plan, now(), way) });
    } else if (event.key === "Enter" || event.key === " ") {
      choose(box.name);
    } else {
      return;
    }
    event.preventDefault();
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing can't be a button
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={say("{name}, {on}, top at {top}: arrows move it, Enter begins or ends a feed", {
        name: box.name,
        on: box.on,
        top: box.top_text,
      })}
      data-wall-box={box.name}
      transform={`translate(${left + off[0]} ${top + off[1]})`}
      className="cursor-grab touch-none"
      onKeyDown={key}
      {...handlers}
    >
      <rect
        width={wide}
        height={tall}
        className={classes("stroke-ink", chosen ? "fill-accent" : "fill-paper")}
        strokeWidth="1.4"
      />
      <text
        x={wide / 2}
        y={tall + 14}
        textAnchor="middle"
        className="fill-ink text-xs font-semibold"
      >
        {box.name}
      </text>
    </g>
  );
});
