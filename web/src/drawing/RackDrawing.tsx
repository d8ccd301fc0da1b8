// Every pipe of a rack together, flat, with its number at its start and what is between them.
import type { RackPlan } from "@/api/planning";
import { linePoints, point3 } from "@/geometry/centreline";
import { spread } from "@/geometry/spread";
import { bounds, fitInto, type Point2, polyline, type View } from "@/geometry/views";
import { say } from "@/words/say";

type Props = {
  plan: RackPlan;
  view: View;
  width: number;
  height: number;
  /** The pipe that is pointed at. */
  lit: number | null;
  point: (pipe: number | null) => void;
};

const MARGIN = 34;
const THINNEST = 2.5;

export function RackDrawing({ plan, view, width, height, lit, point }: Props) {
  const pipes = plan.pipes.map((pipe) => ({
    pipe,
    points: linePoints(pipe.built_as.length > 0 ? pipe.built_as : pipe.path, pipe.arcs).map(
      view.flat,
    ),
  }));
  const all = pipes.flatMap(({ points }) => points);
  if (all.length === 0) {
    return null;
  }
  const { place, scale } = fitInto(bounds(all), {
    left: MARGIN,
    right: width - MARGIN,
    top: MARGIN,
    bottom: height - MARGIN,
  });
  const starts = pipes.map(({ points }) => place(points[0] ?? [0, 0]));
  // Numbers from the top down, none over another.
  const order = starts.map((_, at) => at).toSorted((a, b) => startY(starts, a) - startY(starts, b));
  const ySpread = spread(
    order.map((at) => startY(starts, at)),
    order.map(() => NUMBER),
    0,
    height,
  );
  const nearest = plan.gaps.reduce<RackPlan["gaps"][number] | null>(
    (least, gap) => (least === null || gap.air < least.air - 1e-6 ? gap : least),
    null,
  );
  const [nearX, nearY] = nearest ? place(view.flat(point3(nearest.at))) : [0, 0];
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={say("{pipes} pipes side by side", { pipes: plan.pipes.length })}
    >
      {pipes.map(({ pipe, points }) => {
        const thick = Math.max(pipe.conduit.diameter * scale, THINNEST);
        const broken = pipe.findings.some(({ level }) => level === "error");
        const colour =
          pipe.pipe === lit ? "stroke-accent" : broken ? "stroke-brick" : "stroke-strong-line";
        return (
          <g
            key={pipe.pipe}
            data-rack-pipe={pipe.pipe}
            onPointerEnter={() => point(pipe.pipe)}
            onPointerLeave={() => point(null)}
          >
            <polyline
              points={polyline(points, place)}
              fill="none"
              className={colour}
              strokeWidth={thick + 1.6}
              strokeLinejoin="round"
            />
            <polyline
              points={polyline(points, place)}
              fill="none"
              className={pipe.pipe === lit ? "stroke-accent" : "stroke-pipe"}
              strokeWidth={Math.max(thick - 0.6, 1)}
              strokeLinejoin="round"
            />
          </g>
        );
      })}
      {pipes.map(({ pipe }, at) => {
        const [x, y] = starts[at] ?? [0, 0];
        return (
          <text
            key={pipe.pipe}
            x={x - 8}
            y={(ySpread[order.indexOf(at)] ?? y) + 4}
            textAnchor="end"
            className={`text-xs font-semibold ${pipe.pipe === lit ? "fill-accent" : "fill-ink"}`}
          >
            {pipe.pipe + 1}
          </text>
        );
      })}
      {nearest && nearest.at_text !== AS_SPACED ? (
        <circle
          cx={nearX}
          cy={nearY}
          r="9"
          fill="none"
          className={nearest.air < 0 ? "stroke-brick" : "stroke-amber"}
          strokeWidth="2"
        />
      ) : null}
    </svg>
  );
}

const NUMBER = 13;

function startY(starts: readonly Point2[], at: number): number {
  return starts[at]?.[1] ?? 0;
}

const AS_SPACED = say("the legs, as spaced");
