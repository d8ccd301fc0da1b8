// What lies around a plan: its grid, the way to north, and how long a length is.
import { M_A_FOOT } from "@/model/sites";
import { say } from "@/words/say";
import { barLength, onScreen, type SiteView } from "./siteView";

type Props = {
  view: SiteView;
  width: number;
  height: number;
  north: number;
  units: "in" | "mm";
  /** Whether a trench is shown that would give a second way. */
  secondWay: boolean;
};

/** Pixels from which there is room to say what is what. */
const WITH_LEGEND = 640;

export function SiteGrid({ view, width, height }: Pick<Props, "view" | "width" | "height">) {
  const step = barLength(view.scale);
  const begins = Math.floor(-view.left / view.scale / step);
  const across = Math.ceil(width / view.scale / step) + 1;
  const lowest = Math.floor((view.base - height) / view.scale / step);
  const up = Math.ceil(height / view.scale / step) + 1;
  return (
    <g className="stroke-line" strokeWidth="0.6">
      {places(begins, across, step).map((east) => {
        const [x] = onScreen(view, [east, 0]);
        return <line key={east} x1={x} x2={x} y1={0} y2={height} />;
      })}
      {places(lowest, up, step).map((north) => {
        const [, y] = onScreen(view, [0, north]);
        return <line key={north} x1={0} x2={width} y1={y} y2={y} />;
      })}
    </g>
  );
}

/** So many multiples of a step. */
function places(first: number, count: number, step: number): number[] {
  return Array.from({ length: count }, (_, at) => (first + at) * step);
}

export function NorthAndScale({ view, width, height, north, units, secondWay }: Props) {
  const foot = units === "in" ? M_A_FOOT : 1;
  const length = barLength(view.scale * foot);
  const long = length * foot * view.scale;
  return (
    <g className="fill-ink">
      <g transform={`translate(${width - 34} 44) rotate(${north})`}>
        <path d="M0 -16 L7 12 L0 6 L-7 12 Z" />
        <text y="-21" textAnchor="middle" className="text-xs font-semibold">
          N
        </text>
      </g>
      <g transform={`translate(20 ${height - 20})`} className="stroke-ink">
        <path d={`M0 -5 V5 M0 0 H${long} M${long} -5 V5`} fill="none" strokeWidth="1.4" />
        <text x={long / 2} y="-8" textAnchor="middle" className="stroke-none text-xs">
          {length} {units === "in" ? "ft" : "m"}
        </text>
      </g>
      {width > WITH_LEGEND ? (
        <Legend left={long + 44} top={height - 20} secondWay={secondWay} />
      ) : null}
    </g>
  );
}

function Legend({ left, top, secondWay }: { left: number; top: number; secondWay: boolean }) {
  return (
    <g transform={`translate(${left} ${top})`} className="text-xs">
      <line x2="26" strokeWidth="7" className="stroke-soft" />
      <line x2="26" strokeWidth="1.6" strokeDasharray="5 5" className="stroke-paper" />
      <text x="33" y="4">
        {say("no way round")}
      </text>
      <rect
        x="130"
        y="-7"
        width="14"
        height="14"
        rx="3"
        strokeWidth="2"
        strokeDasharray="3 2.5"
        className="fill-paper stroke-ink"
      />
      <text x="151" y="4">
        {say("put by Yarrow")}
      </text>
      {secondWay ? (
        <>
          <line
            x1="248"
            x2="278"
            strokeWidth="2"
            strokeDasharray="7 6"
            className="stroke-accent opacity-70"
          />
          <text x="285" y="4">
            {say("would give a second way")}
          </text>
        </>
      ) : null}
    </g>
  );
}
