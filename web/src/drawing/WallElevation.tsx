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
          {plan.studs.map((stud) => (
            <g key={stud.begins}>
              {stud.parts.map(([low = 0, high = 0]) => (
                <Timber
                  key={low}
                  left={x(stud.begins)}
                  top={y(high)}
                  wide={(stud.ends - stud.begins) * scale}
                  tall={(high - low) * scale}
                />
              ))}
              {stud.number ? (
                <text
                  x={x(middleOf(stud))}
                  y={y(0) + 18}
                  textAnchor="middle"
                  className="fill-soft text-xs"
                >
                  {stud.number}
                </text>
              ) : null}
            </g>
          ))}
          {plan.openings.map((opening) => (
            <Opening
              key={opening.name}
              opening={opening}
              rests={widthOf(plan.studs[0])}
              scale={scale}
              x={x}
              y={y}
            />
          ))}
          {plan.corners.map((at) => (
            <g key={at} data-wall-corner={at}>
              <line
                x1={x(at)}
                x2={x(at)}
                y1={y(plan.height) - 10}
                y2={y(0) + 6}
                strokeDasharray="7 4"
                className="stroke-ink"
              />
              <text
                x={x(at)}
                y={y(plan.height) - 14}
                textAnchor="middle"
                className="fill-ink text-xs"
              >
                corner
              </text>
            </g>
          ))}
          {plan.holes.map((hole) => (
            <circle
              key={`${hole.line} ${hole.along}`}
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
          {plan.feeds.flatMap((feed) =>
            feed.joints.map(([along = 0, , up = 0]) => (
              <line
                key={`${feed.number} ${along}`}
                data-wall-joint={feed.number}
                x1={x(along)}
                x2={x(along)}
                y1={y(up) - 5}
                y2={y(up) + 5}
                strokeWidth="5"
                className="stroke-ink"
              />
            )),
          )}
          {plan.plate_holes.map((hole) => (
            <WayOut key={hole.feed} hole={hole} plan={plan} x={x} y={y} />
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

type Scaled = { scale: number; x: (along: number) => number; y: (up: number) => number };

/** A door or a window: left clear, with the timber over it, which rests on the frame's inner studs. */
function Opening({
  opening,
  rests,
  scale,
  x,
  y,
}: Scaled & { opening: WallPlan["openings"][number]; rests: number }) {
  const { name, begins, ends, sill, head, header } = opening;
  const stud = rests * scale;
  return (
    <g data-wall-opening={name}>
      <Timber
        left={x(begins) - stud}
        top={y(head + header)}
        wide={(ends - begins) * scale + 2 * stud}
        tall={header * scale}
      />
      <rect
        x={x(begins)}
        y={y(head)}
        width={(ends - begins) * scale}
        height={(head - sill) * scale}
        className="fill-paper stroke-strong-line"
      />
      {sill > 0 ? (
        <line
          x1={x(begins)}
          x2={x(ends)}
          y1={y(sill)}
          y2={y(sill)}
          strokeWidth="3"
          className="stroke-strong-line"
        />
      ) : null}
      <text
        x={x((begins + ends) / 2)}
        y={y((head + sill) / 2)}
        textAnchor="middle"
        className="fill-soft text-xs"
      >
        {name}
      </text>
    </g>
  );
}

/** Where a pipe leaves through a plate, by the name of where it goes. */
function WayOut({
  hole,
  plan,
  x,
  y,
}: Omit<Scaled, "scale"> & { hole: WallPlan["plate_holes"][number]; plan: WallPlan }) {
  const feed = plan.feeds.find(({ number }) => number === hole.feed);
  const up = hole.plate === "top";
  return (
    <g data-wall-out={feed?.end}>
      <circle
        cx={x(hole.along)}
        cy={y(up ? plan.height : 0)}
        r="4"
        className="fill-paper stroke-ink"
      />
      <text
        x={x(hole.along) + 8}
        y={y(up ? plan.height : 0) + (up ? -8 : 20)}
        className="fill-ink text-xs font-semibold"
      >
        {feed?.end}
      </text>
    </g>
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

function widthOf(stud: { begins: number; ends: number } | undefined): number {
  return stud ? stud.ends - stud.begins : 0;
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
