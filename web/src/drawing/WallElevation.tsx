// A framed wall from the front, drawn from its numbers: its frame, boxes, holes, pipes. Boxes and lines
// of holes are dragged, or moved by the arrow keys; two boxes that are tapped are a feed; a box is added
// where the wall is tapped.
import { type MouseEvent, memo, useCallback, useRef, useState } from "react";
import type { WallPlan } from "@/api/walls";
import { type PlacedOnWall, placedWhere } from "@/model/wallPlaces";
import { addBoxAt, addFeed, setBox, setLine, type WallDocument } from "@/model/walls";
import { classes } from "@/ui/classes";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { WallBoxHandle } from "./WallBoxHandle";
import { WallFrameDrawing } from "./WallFrameDrawing";
import { WallLineHandle } from "./WallLineHandle";
import { asideOf, type OnPaper, onPaper } from "./wallOnPaper";

type Props = {
  plan: WallPlan;
  change: (next: (wall: WallDocument) => WallDocument) => void;
};

export const WallElevation = memo(function WallElevation({ plan, change }: Props) {
  const [frame, { width }] = useSize<HTMLDivElement>();
  // What is moved asks for the plan as it stands then, and is not drawn again for every other one.
  const latest = useRef(plan);
  latest.current = plan;
  const read = useCallback(() => latest.current, []);
  const [chosen, setChosen] = useState("");
  const begun = useRef("");
  const choose = useCallback(
    (name: string) => {
      const before = begun.current;
      if (before && before !== name) {
        change(addFeed(before, name));
      }
      begun.current = before ? "" : name;
      setChosen(begun.current);
    },
    [change],
  );
  const move = useCallback(
    (box: number, placed: PlacedOnWall) => change(setBox(box, { ...placed, to: "top" })),
    [change],
  );
  const moveLine = useCallback(
    (line: number, height: number) => change(setLine(line, { height })),
    [change],
  );
  const paper = onPaper(plan, width);
  const asides = asideOf(plan.lines.map(({ height }) => paper.y(height)));
  const tapped = (event: MouseEvent<SVGRectElement>) => {
    if (begun.current) {
      choose(begun.current);
      return;
    }
    const wall = event.currentTarget.getBoundingClientRect();
    const along = (event.clientX - wall.left) / paper.scale;
    const up = plan.height - (event.clientY - wall.top) / paper.scale;
    change(addBoxAt(placedWhere(plan, along, up)));
  };
  return (
    <div ref={frame} className="w-full">
      {paper.scale > 0 ? (
        <svg width={width} height={paper.tall} className="select-none">
          <title>{say("The wall from the front")}</title>
          <WallFrameDrawing
            studs={plan.studs}
            openings={plan.openings}
            corners={plan.corners}
            plates={plan.plates}
            length={plan.length}
            height={plan.height}
            width={width}
          />
          {/* By keys a box is added from the list. */}
          {/* biome-ignore lint/a11y/noStaticElementInteractions: as said above */}
          <rect
            data-wall-free
            x={paper.x(0)}
            y={paper.y(plan.height)}
            width={plan.length * paper.scale}
            height={plan.height * paper.scale}
            className="cursor-crosshair fill-transparent"
            onClick={tapped}
          />
          {plan.holes.map((hole) => (
            <circle
              key={`${hole.line} ${hole.along}`}
              data-bored={hole.stud}
              cx={paper.x(hole.along)}
              cy={paper.y(hole.height)}
              r={Math.max((hole.bit * paper.scale) / 2, 2.5)}
              className={classes(
                "fill-paper",
                hole.feeds.length > 1 ? "stroke-brick" : "stroke-ink",
              )}
            />
          ))}
          {plan.feeds.map((feed) => (
            <FeedLine key={feed.number} feed={feed} paper={paper} />
          ))}
          {plan.plate_holes.map((hole) => (
            <WayOut key={hole.feed} hole={hole} plan={plan} paper={paper} />
          ))}
          {plan.lines.map((line, at) => (
            <WallLineHandle
              key={line.name}
              line={line}
              at={at}
              read={read}
              scale={paper.scale}
              top={paper.y(line.height)}
              aside={asides[at] ?? 0}
              move={moveLine}
            />
          ))}
          {plan.boxes.map((box, at) => (
            <WallBoxHandle
              key={box.name}
              box={box}
              at={at}
              read={read}
              scale={paper.scale}
              left={paper.x(box.begins)}
              top={paper.y(box.top)}
              chosen={chosen === box.name}
              choose={choose}
              move={move}
            />
          ))}
        </svg>
      ) : null}
    </div>
  );
});

/** A pipe with its couplings. */
function FeedLine({ feed, paper }: { feed: WallPlan["feeds"][number]; paper: OnPaper }) {
  const { x, y } = paper;
  return (
    <>
      <polyline
        data-feed={feed.number}
        points={feed.path.map(([along = 0, , up = 0]) => `${x(along)},${y(up)}`).join(" ")}
        fill="none"
        strokeWidth="3"
        strokeLinejoin="round"
        className={feed.findings.length > 0 ? "stroke-brick" : "stroke-accent"}
      />
      {feed.joints.map(([along = 0, , up = 0]) => (
        <line
          key={along}
          data-wall-joint={feed.number}
          x1={x(along)}
          x2={x(along)}
          y1={y(up) - 5}
          y2={y(up) + 5}
          strokeWidth="5"
          className="stroke-ink"
        />
      ))}
    </>
  );
}

type WayOutProps = { hole: WallPlan["plate_holes"][number]; plan: WallPlan; paper: OnPaper };

/** Where a pipe leaves through a plate, by the name of where it goes. */
function WayOut({ hole, plan, paper }: WayOutProps) {
  const feed = plan.feeds.find(({ number }) => number === hole.feed);
  const up = hole.plate === "top";
  const top = paper.y(up ? plan.height : 0);
  return (
    <g data-wall-out={feed?.end}>
      <circle cx={paper.x(hole.along)} cy={top} r="4" className="fill-paper stroke-ink" />
      <text
        x={paper.x(hole.along) + 8}
        y={top + (up ? -8 : 20)}
        className="fill-ink text-xs font-semibold"
      >
        {feed?.end}
      </text>
    </g>
  );
}
