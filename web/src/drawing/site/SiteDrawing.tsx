// A site from above, drawn from its numbers: buildings, trenches, pull points, and what one cut does.
// It is moved and enlarged; places and points are dragged or moved by the arrow keys.
import { useCallback, useRef, useState } from "react";
import type { SitePlan } from "@/api/sites";
import { type PlanPoint, pointOf, type SiteChange, type SiteDocument } from "@/model/sites";
import { snapped } from "@/model/snapping";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { BeingDrawn } from "./BeingDrawn";
import { Ground, SecondWays, SiteNames } from "./Ground";
import { PointHandles, StopMark } from "./Movable";
import { NorthAndScale, SiteGrid } from "./SiteFrame";
import { StretchLine } from "./StretchLine";
import { secondWays } from "./secondWays";
import { siteLabels } from "./siteLabels";
import { enlarged, onPlan, REACH, useSiteView } from "./siteView";
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
  const ways = secondWays(plan, chosen);
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
          <title>{say("The site from above")}</title>
          <Underlay siteId={siteId} document={document} view={view} />
          <SiteGrid view={view} width={width} height={height} />
          <Ground document={document} view={view} />
          <SecondWays ways={ways} view={view} />
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
          {tool === "look" ? (
            <PointHandles document={document} view={view} read={read} change={change} />
          ) : null}
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
          <SiteNames labels={siteLabels(document, plan, view, width)} />
          <BeingDrawn drawn={drawn} next={next} view={view} />
          <NorthAndScale
            view={view}
            width={width}
            height={height}
            north={document.north ?? 0}
            units={document.units}
            secondWay={ways.length > 0}
          />
        </svg>
      ) : null}
      <Zoom
        enlarge={(by) => changeView((before) => enlarged(before, by, [width / 2, height / 2]))}
        fit={fit}
      />
    </div>
  );
}

type ZoomProps = { enlarge: (by: number) => void; fit: () => void };

function Zoom({ enlarge, fit }: ZoomProps) {
  return (
    <div className="absolute right-3 bottom-3 flex gap-1.5">
      <Button className="min-w-10 px-2" aria-label={say("Enlarge")} onClick={() => enlarge(1.4)}>
        +
      </Button>
      <Button
        className="min-w-10 px-2"
        aria-label={say("Make smaller")}
        onClick={() => enlarge(1 / 1.4)}
      >
        −
      </Button>
      <Button className="px-2.5" onClick={fit}>
        {say("All")}
      </Button>
    </div>
  );
}
