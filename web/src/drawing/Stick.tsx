// The stick: the unbent pipe to scale, as it will lie in the hands, with all that goes on it.
import { memo, useState } from "react";
import { ruler } from "@/geometry/ruler";
import { type Plan, troubledBends } from "@/model/document";
import { usePlanner } from "@/state/PlannerContext";
import { useShownPiece } from "@/state/usePieces";
import { IconButton } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Icon } from "@/ui/Icon";
import { ReadingSpan } from "@/ui/Reading";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { layOutStick, READING_SIZE, type StickLayout, stickPages } from "./stickLayout";

const HEIGHT = 138;
const TAG_Y = 18;
const READING_Y = 38;
const LEADER_Y = 46;
const PIPE_TOP = 78;
const PIPE = 20;
const RULER_Y = PIPE_TOP + PIPE + 6;

const FILLS = { error: "fill-brick", warning: "fill-amber", fine: "fill-arc" } as const;

export const Stick = memo(function Stick() {
  const { plan, stale, number: piece, bendsBefore } = useShownPiece();
  const [ref, { width }] = useSize<HTMLElement>();
  const [turned, setTurned] = useState(0);
  const pages = plan?.cut_length && width ? stickPages(plan, width) : [];
  const number = Math.min(turned, pages.length - 1);
  const page = pages[number];
  return (
    <section
      ref={ref}
      aria-label={say("The stick")}
      className={classes(
        "relative shrink-0 border-t border-line bg-paper",
        pages.length > 1 ? "h-[160px]" : "h-[138px]",
        stale && "[&>svg]:opacity-50",
      )}
    >
      {plan && page ? (
        <Drawn
          plan={plan}
          before={bendsBefore}
          piece={piece}
          layout={layOutStick(plan, page, width)}
          width={width}
        />
      ) : (
        <p className="grid h-full place-content-center px-6 text-center text-soft">
          {say("The pipe is drawn here with its marks, as soon as the walk has its numbers.")}
        </p>
      )}
      {pages.length > 1 ? (
        <div className="absolute right-1 bottom-0 flex items-center rounded bg-paper text-sm text-soft">
          <IconButton
            label={say("Earlier part of the pipe")}
            onClick={() => setTurned(number - 1)}
            disabled={number === 0}
          >
            <Icon name="back" />
          </IconButton>
          {say("{number} of {pages}", { number: number + 1, pages: pages.length })}
          <IconButton
            label={say("Later part of the pipe")}
            onClick={() => setTurned(number + 1)}
            disabled={number === pages.length - 1}
          >
            <Icon name="next" />
          </IconButton>
        </div>
      ) : null}
    </section>
  );
});

type DrawnProps = {
  plan: Plan;
  /** How many bends of the run come before this pipe's. */
  before: number;
  /** Which piece of the run it is; 0: all of it. */
  piece: number;
  layout: StickLayout;
  width: number;
};

function Drawn({ plan, before, piece, layout, width }: DrawnProps) {
  const selected = usePlanner((state) => state.selected);
  const pointed = usePlanner((state) => state.pointed);
  const select = usePlanner((state) => state.select);
  const point = usePlanner((state) => state.point);
  const { x, left, right, scale, placed, cut } = layout;
  const lit = (bend: number) => plan.bends[bend]?.feature === selected || before + bend === pointed;
  const within = (position: number) => Math.min(Math.max(x(position), left), right);
  const ticks = ruler(plan.units, (left - x(0)) / scale, (right - x(0)) / scale, scale);
  const troubled = troubledBends(plan);
  const fill = (bend: number) => (lit(bend) ? "fill-accent" : FILLS[troubled.get(bend) ?? "fine"]);
  return (
    <svg
      width={width}
      height={HEIGHT}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={say("The unbent pipe{piece} with {placed} marks shown{cut}", {
        piece: piece ? say(", piece {piece},", { piece }) : "",
        placed: placed.length,
        cut: cut ? say(", cut at {cutLength}", { cutLength: plan.cut_length_text }) : "",
      })}
    >
      <rect x={left} y={PIPE_TOP} width={right - left} height={PIPE} className="fill-pipe" />
      {plan.bends.map((bend, number) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: a bend is known by its number along the pipe
          key={number}
          x={within(bend.arc_start)}
          y={PIPE_TOP}
          width={Math.max(within(bend.arc_end) - within(bend.arc_start), 0)}
          height={PIPE}
          className={fill(number)}
          onPointerEnter={() => point(before + number)}
          onPointerLeave={() => point(null)}
          onPointerDown={() => select(bend.feature)}
        />
      ))}
      <rect
        x={left}
        y={PIPE_TOP}
        width={right - left}
        height={PIPE}
        className="pointer-events-none fill-transparent stroke-ink"
        strokeWidth="1.4"
      />
      <path
        d={ticks.map(({ at, long }) => `M${x(at)} ${RULER_Y}v${long ? 9 : 5}`).join("")}
        fill="none"
        className="stroke-strong-line"
      />
      {ticks.map(({ at, label }) =>
        label ? (
          <text
            key={at}
            x={x(at)}
            y={RULER_Y + 22}
            textAnchor="middle"
            className="fill-soft text-[12px] font-semibold"
          >
            {label}
          </text>
        ) : null,
      )}
      {placed.map(({ mark, x: at, label }) => {
        const way = mark.hook === "end" ? 1 : -1;
        const on = lit(mark.bend);
        return (
          <g
            key={mark.bend}
            data-stick-mark={mark.bend}
            className={classes(
              "cursor-pointer",
              on ? "fill-accent stroke-accent" : "fill-ink stroke-ink",
            )}
            onPointerEnter={() => point(before + mark.bend)}
            onPointerLeave={() => point(null)}
            onPointerDown={() => select(plan.bends[mark.bend]?.feature ?? null)}
          >
            <Label
              x={label}
              tag={`${mark.bend + 1} · ${plan.working[mark.bend]?.angle_text ?? ""}`}
              reading={mark.text}
              lit={on}
            />
            {mark.known_to ? (
              <rect
                x={at - mark.known_to * scale}
                y={PIPE_TOP - 6}
                width={2 * mark.known_to * scale}
                height={PIPE + 12}
                className="fill-accent stroke-none opacity-25"
                data-band={mark.bend}
              />
            ) : null}
            <polyline
              points={`${label},${LEADER_Y} ${at},${PIPE_TOP - 16} ${at},${PIPE_TOP + PIPE}`}
              fill="none"
              strokeWidth={on ? 2 : 1.5}
            />
            <path
              d={`M${at} ${PIPE_TOP - 14}l${9 * way} 5l${-9 * way} 5z`}
              className="stroke-none"
            />
          </g>
        );
      })}
      {cut ? (
        <g className="fill-ink stroke-ink">
          <Label x={cut.label} tag={say("cut")} reading={plan.cut_length_text} lit={false} />
          <polyline
            points={`${cut.label},${LEADER_Y} ${cut.x},${PIPE_TOP - 16} ${cut.x},${PIPE_TOP + PIPE + 6}`}
            fill="none"
            strokeWidth="2"
          />
        </g>
      ) : null}
    </svg>
  );
}

/** A reading with a word above it, over the pipe. */
function Label({
  x,
  tag,
  reading,
  lit,
}: {
  x: number;
  tag: string;
  reading: string;
  lit: boolean;
}) {
  return (
    <g className="stroke-none" textAnchor="middle">
      <text x={x} y={TAG_Y} className={classes("text-[12px]", lit ? "fill-accent" : "fill-soft")}>
        {tag}
      </text>
      <text x={x} y={READING_Y} fontSize={READING_SIZE} className="font-bold">
        <ReadingSpan text={reading} size={READING_SIZE} />
      </text>
    </g>
  );
}
