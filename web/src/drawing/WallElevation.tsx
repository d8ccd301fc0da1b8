// A framed wall from the front, drawn from its numbers: plates, studs, boxes, holes, pipes. Boxes are
// dragged to a stud's face and a height, moved by the arrow keys, and tapped two by two for a feed.
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { WallPlan } from "@/api/queries";
import { classes } from "@/ui/classes";
import { useSize } from "@/ui/useSize";

type Placed = { stud: number; side: "left" | "right"; height: number };

type Props = {
  plan: WallPlan;
  /** The box that a feed is begun at, by its name. */
  chosen: string;
  choose: (name: string) => void;
  move: (box: number, placed: Placed) => void;
};

const MARGIN = 34;
/** Of a tape: what a height is dragged to. */
const STEP = { in: 0.5, mm: 10 } as const;
/** So near in steps to another box's top, it is level with that. */
const NEAR = 3;
const DRAGGED = 4;

export function WallElevation({ plan, chosen, choose, move }: Props) {
  const [frame, { width }] = useSize<HTMLDivElement>();
  const scale = width > 0 ? (width - 2 * MARGIN) / plan.length : 0;
  const x = (along: number) => MARGIN + along * scale;
  const y = (up: number) => MARGIN + (plan.height - up) * scale;
  const [bottom, top] = plan.plates;
  const tall = plan.height * scale + 2 * MARGIN;
  return (
    <div ref={frame} className="w-full">
      {scale > 0 ? (
        <svg width={width} height={tall}>
          <title>The wall from the front</title>
          <Timber left={x(0)} top={y(bottom)} wide={plan.length * scale} tall={bottom * scale} />
          <Timber left={x(0)} top={y(plan.height)} wide={plan.length * scale} tall={top * scale} />
          {plan.studs.map(({ number, begins, ends }) => (
            <g key={number}>
              <Timber
                left={x(begins)}
                top={y(plan.height - top)}
                wide={(ends - begins) * scale}
                tall={(plan.height - top - bottom) * scale}
              />
              <text
                x={x((begins + ends) / 2)}
                y={y(0) + 18}
                textAnchor="middle"
                className="fill-soft text-xs"
              >
                {number}
              </text>
            </g>
          ))}
          {plan.holes.map((hole) => (
            <circle
              key={`${hole.line} ${hole.stud}`}
              data-bored={hole.stud}
              cx={x(hole.along)}
              cy={y(hole.height)}
              r={Math.max((hole.bit * scale) / 2, 2.5)}
              className={classes(
                "fill-paper",
                hole.feeds.length > 1 ? "stroke-brick" : "stroke-ink",
              )}
            />
          ))}
          {plan.feeds.map((feed) => (
            <polyline
              key={feed.number}
              data-feed={feed.number}
              points={feed.path.map(([along, , up]) => `${x(along ?? 0)},${y(up ?? 0)}`).join(" ")}
              fill="none"
              strokeWidth="3"
              strokeLinejoin="round"
              className={feed.findings.length > 0 ? "stroke-brick" : "stroke-accent"}
            />
          ))}
          {plan.boxes.map((box, at) => (
            <Box
              key={box.name}
              box={box}
              plan={plan}
              scale={scale}
              place={[x(box.begins), y(box.top)]}
              chosen={chosen === box.name}
              choose={() => choose(box.name)}
              move={(placed) => move(at, placed)}
            />
          ))}
        </svg>
      ) : null}
    </div>
  );
}

function Timber({
  left,
  top,
  wide,
  tall,
}: {
  left: number;
  top: number;
  wide: number;
  tall: number;
}) {
  return <rect x={left} y={top} width={wide} height={tall} className="fill-raised stroke-line" />;
}

type BoxProps = {
  box: WallPlan["boxes"][number];
  plan: WallPlan;
  scale: number;
  place: readonly [number, number];
  chosen: boolean;
  choose: () => void;
  move: (placed: Placed) => void;
};

function Box({ box, plan, scale, place, chosen, choose, move }: BoxProps) {
  const from = useRef<{ x: number; y: number } | null>(null);
  const [off, setOff] = useState<readonly [number, number]>([0, 0]);
  const step = STEP[plan.units];
  const wide = (box.ends - box.begins) * scale;
  const tall = (box.top - box.bottom) * scale;

  const start = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { x: event.clientX, y: event.clientY };
  };
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (from.current) {
      setOff([event.clientX - from.current.x, event.clientY - from.current.y]);
    }
  };
  const drop = () => {
    const [across, down] = off;
    from.current = null;
    setOff([0, 0]);
    if (Math.hypot(across, down) < DRAGGED) {
      choose();
      return;
    }
    const middle = (box.begins + box.ends) / 2 + across / scale;
    move({ ...besideStud(plan, middle), height: level(plan, box, box.top - down / scale, step) });
  };
  const key = (event: KeyboardEvent) => {
    const turns = { ArrowUp: step, ArrowDown: -step }[event.key];
    const faces = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (turns) {
      move({ stud: box.stud, side: sideOf(box), height: box.top + turns });
    } else if (faces) {
      move({ ...nextFace(plan, box, faces), height: box.top });
    } else if (event.key === "Enter" || event.key === " ") {
      choose();
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
      aria-label={`${box.name}, stud ${box.stud}, top at ${box.top_text}: arrows move it, Enter begins or ends a feed`}
      data-wall-box={box.name}
      transform={`translate(${place[0] + off[0]} ${place[1] + off[1]})`}
      className="cursor-grab touch-none"
      onPointerDown={start}
      onPointerMove={drag}
      onPointerUp={drop}
      onKeyDown={key}
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
}

function sideOf(box: { side: string }): "left" | "right" {
  return box.side === "left" ? "left" : "right";
}

/** The stud's face that is nearest to a place along the wall. */
function besideStud(plan: WallPlan, along: number): Pick<Placed, "stud" | "side"> {
  const nearest = plan.studs.reduce((best, stud) =>
    Math.abs(middleOf(stud) - along) < Math.abs(middleOf(best) - along) ? stud : best,
  );
  return { stud: nearest.number, side: along < middleOf(nearest) ? "left" : "right" };
}

function middleOf({ begins, ends }: { begins: number; ends: number }): number {
  return (begins + ends) / 2;
}

/** The next stud's face to the left or the right: a stud has two. */
function nextFace(plan: WallPlan, box: WallPlan["boxes"][number], way: number) {
  const face = (box.stud - 1) * 2 + (sideOf(box) === "right" ? 1 : 0) + way;
  const held = Math.min(Math.max(face, 0), plan.studs.length * 2 - 1);
  const side: "left" | "right" = held % 2 === 0 ? "left" : "right";
  return { stud: Math.floor(held / 2) + 1, side };
}

/** A height on the tape's step, or level with another box's top that is near. */
function level(plan: WallPlan, box: { name: string }, top: number, step: number): number {
  const others = plan.boxes.filter(({ name }) => name !== box.name).map((other) => other.top);
  const near = others.find((other) => Math.abs(other - top) < NEAR * step);
  return near ?? Math.round(top / step) * step;
}
