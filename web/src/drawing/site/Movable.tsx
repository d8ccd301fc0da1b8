// What is moved on a site's plan, by dragging or by the arrow keys: pull points, points of a trench.
import { type KeyboardEvent, memo, type ReactNode } from "react";
import type { SiteStop } from "@/api/sites";
import {
  movePoint,
  type PlanPoint,
  pointOf,
  type SiteChange,
  type SiteDocument,
} from "@/model/sites";
import { snapped } from "@/model/snapping";
import { classes } from "@/ui/classes";
import { useDragged } from "@/ui/useDragged";
import { say } from "@/words/say";
import { onScreen, REACH, type SiteView } from "./siteView";

const A_STEP = 1;
const A_LONG_STEP = 10;

type StopProps = {
  stop: SiteStop;
  view: SiteView;
  read: () => SiteDocument;
  change: (next: SiteChange) => void;
  deaf: boolean;
};

/** A pull point: one that a person set is filled and can be moved; one that Yarrow puts is open. */
export const StopMark = memo(function StopMark(props: StopProps) {
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
      label={say("{name}: arrows move it", { name: stop.name })}
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

type HandlesProps = Omit<HandleProps, "label" | "at"> & { document: SiteDocument };

/** Every point of every trench. */
export function PointHandles({ document, ...how }: HandlesProps) {
  return document.trenches.flatMap(({ name, line }, trench) =>
    line.map((point, at) => (
      <PointHandle
        // biome-ignore lint/suspicious/noArrayIndexKey: a point is known by its place in its line
        key={`${trench} ${at}`}
        label={say("Point {at} of trench {name}", { at: at + 1, name })}
        at={pointOf(point)}
        {...how}
      />
    )),
  );
}

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
