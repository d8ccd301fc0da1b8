// The line of a trench while it is drawn, and where its next point lands.
import type { PlanPoint } from "@/model/sites";
import type { snapped } from "@/model/snapping";
import { linePoints, onScreen, type SiteView } from "./siteView";

type Props = {
  drawn: readonly PlanPoint[];
  /** Null while nothing is pointed at. */
  next: ReturnType<typeof snapped> | null;
  view: SiteView;
};

export function BeingDrawn({ drawn, next, view }: Props) {
  return (
    <>
      {drawn.length > 0 ? (
        <polyline
          points={linePoints(view, next ? [...drawn, next.at] : drawn)}
          fill="none"
          strokeWidth="3"
          strokeDasharray="8 5"
          className="stroke-accent"
          data-drawn={drawn.length}
        />
      ) : null}
      {next ? <Landing on={next.on} at={onScreen(view, next.at)} /> : null}
    </>
  );
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
