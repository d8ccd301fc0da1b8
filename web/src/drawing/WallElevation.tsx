// A framed wall from the front, drawn from its numbers: plates, studs, openings, boxes, holes, pipes.
// Boxes and lines of holes are dragged, or moved by the arrow keys.
import type { WallPlan } from "@/api/queries";
import { middleOf, type PlacedOnWall } from "@/model/wallPlaces";
import { classes } from "@/ui/classes";
import { useSize } from "@/ui/useSize";
import { WallBoxHandle } from "./WallBoxHandle";
import { WallLineHandle } from "./WallLineHandle";

type Props = {
  plan: WallPlan;
  /** The box that a feed is begun at, by its name. */
  chosen: string;
  choose: (name: string) => void;
  move: (box: number, placed: PlacedOnWall) => void;
  moveLine: (line: number, height: number) => void;
};

const MARGIN = 34;

export function WallElevation({ plan, chosen, choose, move, moveLine }: Props) {
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
          {plan.lines.map((line, at) => (
            <WallLineHandle
              key={line.name}
              line={line}
              plan={plan}
              scale={scale}
              place={[MARGIN - 6, y(line.height)]}
              move={(height) => moveLine(at, height)}
            />
          ))}
          {plan.plate_holes.map((hole) => (
            <WayOut key={hole.feed} hole={hole} plan={plan} x={x} y={y} />
          ))}
          {plan.boxes.map((box, at) => (
            <WallBoxHandle
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

function widthOf(stud: { begins: number; ends: number } | undefined): number {
  return stud ? stud.ends - stud.begins : 0;
}
