// A site from above, drawn from its numbers: buildings, trenches, pull points, and what one cut does.
// It is moved and enlarged; places and points are dragged or moved by the arrow keys.
import { type KeyboardEvent, memo, type ReactNode, useCallback, useRef, useState } from "react";
import type { SitePlan, SiteStop, SiteStretch } from "@/api/sites";
import {
  movePoint,
  type PlanPoint,
  pointOf,
  type SiteChange,
  type SiteDocument,
} from "@/model/sites";
import { snapped } from "@/model/snapping";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { useDragged } from "@/ui/useDragged";
import { useSize } from "@/ui/useSize";
import { NorthAndScale, SiteGrid } from "./SiteFrame";
import { siteLabels } from "./siteLabels";
import { enlarged, onPlan, onScreen, type SiteView, useSiteView } from "./siteView";
import { Underlay } from "./Underlay";
import { usePointers } from "./usePointers";

export type SiteTool = "look" | "trench" | "hand-hole" | "building" | "measure";

type Props = {
  siteId: number;
  document: SiteDocument;
  plan: SitePlan | null;
  change: (next: SiteChange) => void;
  tool: SiteTool;
  /** The line of a trench that is being drawn. */
  drawn: readonly PlanPoint[];
  /** A point was tapped, with what it snaps to, while something is being drawn. */
  put: (at: PlanPoint) => void;
  chosen: number | null;
  choose: (name: string | null) => void;
};

/** As far as this, in pixels, a point is drawn to what is there. */
const REACH = 12;
const A_STEP = 1;
const A_LONG_STEP = 10;

export function SiteDrawing(props: Props) {
  const { siteId, document, plan, change, tool, drawn, put, chosen, choose } = props;
  const [frame, size] = useSize<HTMLDivElement>();
  const points = [
    ...document.places.flatMap(({ at, outline }) => [at, ...(outline ?? [])]),
    ...document.trenches.flatMap(({ line }) => line),
    ...(document.backdrop ?? []).flat(),
  ].map(pointOf);
  const { view, change: changeView, fit } = useSiteView(points, size);
  const latest = useRef(document);
  latest.current = document;
  const read = useCallback(() => latest.current, []);
  const [over, setOver] = useState<PlanPoint | null>(null);
  const { ref, here, handlers } = usePointers(changeView, (at) => {
    if (view && tool !== "look") {
      put(snapped(document, onPlan(view, at), REACH / view.scale, drawn).at);
    } else {
      choose(null);
    }
  });
  const { width, height } = size;
  const enlarge = (by: number) =>
    changeView((before) => enlarged(before, by, [width / 2, height / 2]));
  const next =
    view && over && tool !== "look"
      ? snapped(document, onPlan(view, over), REACH / view.scale, drawn)
      : null;
  return (
    <div ref={frame} className="relative h-full w-full overflow-hidden bg-paper">
      {view ? (
        <svg
          ref={ref}
          width={width}
          height={height}
          className={classes("touch-none", tool === "look" ? "cursor-grab" : "cursor-crosshair")}
          {...handlers}
          onPointerMove={(event) => {
            if (tool !== "look") {
              setOver(here(event));
            }
            handlers.onPointerMove(event);
          }}
        >
          <title>The site from above</title>
          <Underlay siteId={siteId} document={document} view={view} />
          <SiteGrid view={view} width={width} height={height} />
          {(document.backdrop ?? []).map((line, at) => (
            <polyline
              // biome-ignore lint/suspicious/noArrayIndexKey: a line underneath is known by its place
              key={at}
              points={onPaper(view, line)}
              fill="none"
              strokeWidth="1"
              className="stroke-strong-line"
              data-backdrop
            />
          ))}
          {document.places.map(({ name, outline, planned }) =>
            outline && outline.length > 2 ? (
              <polygon
                key={name}
                points={onPaper(view, outline)}
                strokeDasharray={planned ? "6 5" : undefined}
                strokeWidth="1.4"
                className={classes("fill-canvas", planned ? "stroke-soft" : "stroke-ink")}
              />
            ) : null,
          )}
          {document.trenches.map(({ name, line }) => (
            <polyline
              key={name}
              points={onPaper(view, line)}
              fill="none"
              strokeWidth="1"
              strokeDasharray="2 3"
              className="stroke-soft"
            />
          ))}
          {secondWays(plan, chosen).map(({ line, ends, told }) => (
            <polyline
              key={ends.join()}
              points={onPaper(view, line)}
              fill="none"
              strokeWidth="2"
              strokeDasharray="7 6"
              className="stroke-accent opacity-70"
              data-second-way
            >
              <title>{told}</title>
            </polyline>
          ))}
          {plan?.stretches.map((stretch) => (
            <StretchLine
              key={stretch.number}
              stretch={stretch}
              view={view}
              chosen={stretch.number === chosen}
              choose={choose}
              deaf={tool !== "look"}
            />
          ))}
          {tool === "look"
            ? document.trenches.flatMap(({ name, line }, trench) =>
                line.map((point, at) => (
                  <PointHandle
                    // biome-ignore lint/suspicious/noArrayIndexKey: a point is known by its place in its line
                    key={`${trench} ${at}`}
                    label={`Point ${at + 1} of trench ${name}`}
                    at={pointOf(point)}
                    view={view}
                    read={read}
                    change={change}
                  />
                )),
              )
            : null}
          {plan?.stops.map((stop) => (
            <StopMark
              key={stop.number}
              stop={stop}
              view={view}
              read={read}
              change={change}
              deaf={tool !== "look"}
            />
          ))}
          {siteLabels(document, plan, view, width).map(
            ({ key, text, at: [x, y], anchor, named }) => (
              <text
                key={key}
                x={x}
                y={y}
                textAnchor={anchor}
                strokeWidth="4"
                className={classes(
                  "pointer-events-none fill-ink stroke-paper font-semibold [paint-order:stroke]",
                  named ? "text-sm" : "text-xs",
                )}
              >
                {text}
              </text>
            ),
          )}
          {drawn.length > 0 ? (
            <polyline
              points={onPaper(view, next ? [...drawn, next.at] : drawn)}
              fill="none"
              strokeWidth="3"
              strokeDasharray="8 5"
              className="stroke-accent"
              data-drawn={drawn.length}
            />
          ) : null}
          {next ? <Landing on={next.on} at={onScreen(view, next.at)} /> : null}
          <NorthAndScale
            view={view}
            width={width}
            height={height}
            north={document.north ?? 0}
            units={document.units}
            secondWay={secondWays(plan, chosen).length > 0}
          />
        </svg>
      ) : null}
      <div className="absolute right-3 bottom-3 flex gap-1.5">
        <Button className="min-w-10 px-2" aria-label="Enlarge" onClick={() => enlarge(1.4)}>
          +
        </Button>
        <Button
          className="min-w-10 px-2"
          aria-label="Make smaller"
          onClick={() => enlarge(1 / 1.4)}
        >
          −
        </Button>
        <Button className="px-2.5" onClick={fit}>
          All
        </Button>
      </div>
    </div>
  );
}

/** The second ways that are shown: of a stretch that is chosen those that free whom its cut takes
 * down, else the one that frees the most. */
function secondWays(plan: SitePlan | null, chosen: number | null) {
  const ways = plan?.second_ways ?? [];
  const held = plan?.stretches.find(({ number }) => number === chosen)?.no_way_round;
  if (held) {
    return ways.filter(({ frees }) => frees.some((name) => held.includes(name)));
  }
  return ways.toSorted((one, other) => other.frees.length - one.frees.length).slice(0, 1);
}

function onPaper(view: SiteView, line: readonly (readonly number[])[]): string {
  return line.map((point) => onScreen(view, pointOf(point)).join()).join(" ");
}

/** Where the next point lands: a ring on what is there, a square at a right angle, else a dot. */
function Landing({ on, at: [x, y] }: { on: string; at: PlanPoint }) {
  if (on === "square") {
    return (
      <path
        d={`M${x - 7} ${y} V${y - 7} H${x}`}
        fill="none"
        strokeWidth="2"
        className="stroke-accent"
      />
    );
  }
  return (
    <circle
      cx={x}
      cy={y}
      r={on === "free" ? 3 : 9}
      fill="none"
      strokeWidth="2"
      className="stroke-accent"
      data-landing={on}
    />
  );
}

type StretchProps = {
  stretch: SiteStretch;
  view: SiteView;
  chosen: boolean;
  choose: (name: string) => void;
  deaf: boolean;
};

/** A stretch as wide as it has ducts; one that is over its limit is barred, besides its colour. */
const StretchLine = memo(function StretchLine(props: StretchProps) {
  const { stretch, view, chosen, choose, deaf } = props;
  const points = onPaper(view, stretch.line);
  const wide = Math.min(3 + stretch.ducts.length, 11);
  const press = (event: KeyboardEvent) => {
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      choose(stretch.name);
    }
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing can't be a button
    <g
      role="button"
      tabIndex={deaf ? -1 : 0}
      aria-pressed={chosen}
      aria-label={`${stretch.name}, ${stretch.length_text}, ${stretch.ducts_text}. ${stretch.cut}`}
      data-stretch={stretch.name}
      className={deaf ? "pointer-events-none" : "cursor-pointer outline-offset-4"}
      onPointerDown={(event) => event.stopPropagation()}
      onClick={() => choose(stretch.name)}
      onKeyDown={press}
    >
      <polyline points={points} fill="none" strokeWidth="22" stroke="transparent" />
      {chosen ? (
        <polyline
          points={points}
          fill="none"
          strokeWidth={wide + 8}
          strokeLinejoin="round"
          className="stroke-accent-soft"
        />
      ) : null}
      <polyline
        points={points}
        fill="none"
        strokeWidth={wide}
        strokeLinejoin="round"
        className={stretch.kept ? (chosen ? "stroke-accent" : "stroke-soft") : "stroke-brick"}
      />
      {stretch.kept ? null : (
        <polyline
          points={points}
          fill="none"
          strokeWidth={wide + 7}
          strokeDasharray="2 9"
          className="stroke-brick"
        />
      )}
      {stretch.no_way_round.length > 0 ? (
        <polyline
          points={points}
          fill="none"
          strokeWidth={1.6}
          strokeDasharray="5 5"
          className="stroke-paper"
        />
      ) : null}
    </g>
  );
});

type StopProps = {
  stop: SiteStop;
  view: SiteView;
  read: () => SiteDocument;
  change: (next: SiteChange) => void;
  deaf: boolean;
};

/** A pull point: one that a person set is filled and can be moved; one that Yarrow puts is open. */
const StopMark = memo(function StopMark(props: StopProps) {
  const { stop, view, read, change, deaf } = props;
  const at = pointOf(stop.at);
  const [x, y] = onScreen(view, at);
  const mark = (
    <>
      <rect
        x="-7"
        y="-7"
        width="14"
        height="14"
        rx="3"
        strokeWidth="2"
        strokeDasharray={stop.place === null ? "3 2.5" : undefined}
        className={classes(
          "stroke-ink",
          stop.kind === "building" ? "fill-ink" : stop.place === null ? "fill-paper" : "fill-line",
        )}
      />
    </>
  );
  if (stop.kind === "loose-end") {
    return (
      <path
        d={`M${x - 6} ${y - 6} L${x + 6} ${y + 6} M${x - 6} ${y + 6} L${x + 6} ${y - 6}`}
        strokeWidth="2.4"
        className="stroke-amber"
      />
    );
  }
  return stop.place === null ? (
    <g transform={`translate(${x} ${y})`} className="pointer-events-none" data-stop={stop.name}>
      {mark}
    </g>
  ) : (
    <Movable
      label={`${stop.name}: arrows move it`}
      at={at}
      view={view}
      read={read}
      change={change}
      name={stop.name}
      deaf={deaf}
    >
      {mark}
    </Movable>
  );
});

type HandleProps = {
  label: string;
  at: PlanPoint;
  view: SiteView;
  /** The site as it stands when something is dropped. */
  read: () => SiteDocument;
  change: (next: SiteChange) => void;
};

function PointHandle(props: HandleProps) {
  return (
    <Movable {...props}>
      <circle r="11" fill="transparent" />
      <circle r="3.4" className="fill-paper stroke-soft" strokeWidth="1.4" />
    </Movable>
  );
}

/** A point of the plan that is dragged, or moved by the arrow keys: with everything that lies on it.
 * A deaf one lets taps through: a trench that is drawn begins on what is there. */
function Movable(props: HandleProps & { children: ReactNode; name?: string; deaf?: boolean }) {
  const { label, at, view, read, change, children, name, deaf } = props;
  const { off, handlers } = useDragged(([across, down]) => {
    const to: PlanPoint = [at[0] + across / view.scale, at[1] - down / view.scale];
    change(movePoint(at, snapped(read(), to, REACH / view.scale, [], at).at));
  });
  const key = (event: KeyboardEvent) => {
    const step = event.shiftKey ? A_LONG_STEP : A_STEP;
    const by = STEPS[event.key];
    if (by) {
      event.preventDefault();
      change(movePoint(at, [at[0] + by[0] * step, at[1] + by[1] * step]));
    }
  };
  const [x, y] = onScreen(view, at);
  return (
    // biome-ignore lint/a11y/useSemanticElements: a part of a drawing can't be a button
    <g
      role="button"
      tabIndex={deaf ? -1 : 0}
      aria-label={label}
      data-stop={name}
      transform={`translate(${x + off[0]} ${y + off[1]})`}
      className={classes("touch-none", deaf ? "pointer-events-none" : "cursor-move")}
      onKeyDown={key}
      {...handlers}
      onPointerDown={(event) => {
        event.stopPropagation();
        handlers.onPointerDown(event);
      }}
    >
      {children}
    </g>
  );
}

const STEPS: Readonly<Record<string, PlanPoint>> = {
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};
