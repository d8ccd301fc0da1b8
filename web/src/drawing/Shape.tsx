// The run as it will hang: each view that shows something, at one scale, with the site's numbers.
import { memo, useDeferredValue } from "react";
import type { PiecesOfRun } from "@/api/planning";
import { centreline, type Piece, type Point3, point3 } from "@/geometry/centreline";
import { bounds, fitInto, type Room, type View, viewsOf } from "@/geometry/views";
import { type Plan, troubledBends } from "@/model/document";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { usePieces } from "@/state/usePieces";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { DimensionLine } from "./DimensionLine";
import { layOutDimensions } from "./dimensionLayout";
import { ExactAndPrinted, Legend } from "./ExactAndPrinted";
import { Joints } from "./Joints";
import { allPoints, isObstacle } from "./points";
import { Fitting, Obstacle } from "./Thing";

const PADDING = { left: 74, right: 104, top: 44, bottom: 22 };
/** For the choice of what is shown, above the drawing. */
const BAR = 40;
/** For what the two lines mean, under the bar. */
const LEGEND = 34;
const MAIN_SHARE = 0.62;
const THINNEST_PIPE = 5;

const STROKES = { error: "stroke-brick", warning: "stroke-amber", fine: "stroke-arc" } as const;

/**
 * The flat views of a run; ``both``, with the pipe that the other marks would give over it. Drawn
 * after the marks: no key waits for it.
 */
export const Shape = memo(function Shape({ views, both }: { views?: View[]; both: boolean }) {
  const { plan, stale } = useDeferredValue(usePlanState((state) => state));
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const shown = views ?? (plan ? viewsOf(plan) : []);
  const made = useDeferredValue(usePieces((state) => state.made));
  return (
    <div ref={ref} className="absolute inset-0 overflow-hidden">
      {plan && width > 0 && height > 0 ? (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={say("The run as it will hang")}
          className={stale ? "opacity-50" : ""}
        >
          <defs>
            <pattern
              id="hatch"
              width="7"
              height="7"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line y2="7" className="stroke-line" strokeWidth="1.4" />
            </pattern>
          </defs>
          {both ? <Legend x={16} y={BAR + 22} /> : null}
          {shown.map((view, index) => {
            const share = shown.length === 1 ? 1 : index === 0 ? MAIN_SHARE : 1 - MAIN_SHARE;
            const above = BAR + (both ? LEGEND : 0);
            const top = above + (index === 0 ? 0 : (height - above) * MAIN_SHARE);
            const room = { left: 0, right: width, top, bottom: top + (height - above) * share };
            return (
              <Flat
                key={view.name}
                plan={plan}
                view={view}
                room={room}
                both={both}
                first={index === 0}
                made={made}
              />
            );
          })}
        </svg>
      ) : null}
    </div>
  );
});

type FlatProps = {
  plan: Plan;
  view: View;
  room: Room;
  both: boolean;
  first: boolean;
  made: PiecesOfRun | undefined;
};

function Flat({ plan, view, room, both, first, made }: FlatProps) {
  const selected = usePlanner((state) => state.selected);
  const pointed = usePlanner((state) => state.pointed);
  const select = usePlanner((state) => state.select);
  const point = usePlanner((state) => state.point);
  const rows = layOutDimensions(plan, view).rows;
  const { scale, place } = fitInto(bounds(allPoints(plan, view)), {
    left: room.left + PADDING.left,
    right: room.right - PADDING.right,
    top: room.top + PADDING.top,
    bottom: room.bottom - PADDING.bottom - rows * DIMENSION_ROW,
  });
  const flat = (points: Piece["points"]) =>
    points
      .map((at) =>
        place(view.flat(at))
          .map((value) => value.toFixed(1))
          .join(","),
      )
      .join(" ");
  const pieces = centreline(plan.path, plan.arcs);
  const thick = Math.max(plan.conduit.diameter * scale, THINNEST_PIPE);
  const troubled = troubledBends(plan);
  const tone = (bend: number) =>
    plan.bends[bend]?.feature === selected || bend === pointed
      ? "stroke-accent"
      : STROKES[troubled.get(bend) ?? "fine"];
  const obstacles = plan.things.filter(({ kind }) => isObstacle(kind));
  const fittings = plan.things.filter(({ kind }) => !isObstacle(kind));
  const broken = plan.bends.length === 0 && plan.findings.some(({ level }) => level === "error");
  return (
    <g>
      <text
        x={room.left + 16}
        y={first ? (room.right < NARROW ? UNDER_BAR_Y : TITLE_Y) : room.top + 16}
        className="fill-soft text-[13px] font-semibold"
      >
        {view.title}
      </text>
      {obstacles.map((thing, index) => (
        <Obstacle
          key={`${thing.feature}-${thing.kind}`}
          thing={thing}
          place={(at) => place(view.flat(at))}
          lower={crowded(obstacles, index, (at) => place(view.flat(at)))}
        />
      ))}
      <g fill="none" strokeLinejoin="round">
        {pieces.map((piece, number) => (
          <polyline
            key={`outer-${keyOf(piece, number)}`}
            points={flat(piece.points)}
            strokeWidth={thick + 2.6}
            className={broken ? "stroke-brick" : "stroke-ink"}
            strokeDasharray={broken ? "8 6" : undefined}
          />
        ))}
        {pieces.map((piece, number) => (
          <polyline
            key={`inner-${keyOf(piece, number)}`}
            points={flat(piece.points)}
            strokeWidth={thick}
            className={piece.bend === null || both ? "stroke-pipe" : tone(piece.bend)}
            {...(piece.bend === null
              ? {}
              : {
                  "data-shape-bend": piece.bend,
                  onPointerEnter: () => point(piece.bend),
                  onPointerLeave: () => point(null),
                  onPointerDown: () => select(plan.bends[piece.bend ?? 0]?.feature ?? null),
                })}
          />
        ))}
      </g>
      {made ? (
        <Joints made={made} place={(at) => place(view.flat(at))} flat={flat} thick={thick} />
      ) : null}
      {fittings.map((thing) => (
        <Fitting
          key={thing.feature ?? "start"}
          thing={thing}
          place={(at) => place(view.flat(at))}
        />
      ))}
      {both ? (
        <ExactAndPrinted
          plan={plan}
          flat={flat}
          at={(point) => place(view.flat(point))}
          room={room}
        />
      ) : (
        layOutDimensions(plan, view, place).lines.map((line) => (
          <DimensionLine key={line.key} line={line} lit={line.feature === selected} />
        ))
      )}
    </g>
  );
}

/** By how many lines a name has to give way to those right before it. */
function crowded(
  things: readonly Plan["things"][number][],
  index: number,
  place: (point: Point3) => readonly [number, number],
): number {
  const at = (thing: Plan["things"][number]) => place(point3(thing.at));
  const here = things[index];
  const before = things[index - 1];
  if (!here || !before) {
    return 0;
  }
  const apart = Math.hypot(at(here)[0] - at(before)[0], at(here)[1] - at(before)[1]);
  return apart < NAME_WIDTH ? crowded(things, index - 1, place) + 1 : 0;
}

const NAME_WIDTH = 90;
const TITLE_Y = 24;
/** Where the bar takes the whole width, the title goes under it. */
const NARROW = 520;
const UNDER_BAR_Y = 72;
const DIMENSION_ROW = 24;

/** The same from one plan to the next, so that a piece that moves is not made anew. */
function keyOf({ bend }: Piece, number: number): string {
  return bend === null ? `straight-${number}` : `bend-${bend}`;
}
