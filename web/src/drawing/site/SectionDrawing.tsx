// A trench cut across, to scale: its ducts, the tape over them, the surface.
import type { SiteStretch } from "@/api/sites";
import { say } from "@/words/say";

type Props = { stretch: SiteStretch };

const TALL = 170;
const MARGIN = 14;

export function SectionDrawing({ stretch }: Props) {
  const { width, depth, cover, tape, ducts } = stretch.section;
  const scale = Math.min(TALL / depth, 250 / width);
  const wide = width * scale;
  return (
    <svg
      width={wide + 2 * MARGIN + 76}
      height={depth * scale + 2 * MARGIN}
      className="max-w-full"
      role="img"
      aria-label={say("The trench cut across: {ducts}", { ducts: stretch.ducts_text })}
    >
      <g transform={`translate(${MARGIN} ${MARGIN})`}>
        <path
          d={`M${-MARGIN} 0 H0 V${depth * scale} H${wide} V0 H${wide + MARGIN}`}
          fill="none"
          strokeWidth="1.4"
          className="stroke-ink"
        />
        <line
          x1="4"
          x2={wide - 4}
          y1={tape * scale}
          y2={tape * scale}
          strokeWidth="2.5"
          strokeDasharray="6 4"
          className="stroke-amber"
        />
        <text x={wide + 8} y={tape * scale + 4} className="fill-soft text-xs">
          {say("tape")}
        </text>
        <text x={wide + 8} y={cover * scale + 4} className="fill-soft text-xs">
          {say("cover {cover}", { cover: Math.round(cover) })}
        </text>
        {ducts.map(({ across, deep, outside }, at) => {
          const duct = stretch.ducts[at];
          return (
            <g key={duct?.label}>
              <circle
                cx={across * scale}
                cy={deep * scale}
                r={(outside / 2) * scale}
                strokeWidth="1.4"
                strokeDasharray={duct?.power ? "4 2" : undefined}
                className={
                  duct?.cables.length ? "fill-accent-soft stroke-ink" : "fill-paper stroke-ink"
                }
              />
              <text
                x={across * scale}
                y={deep * scale + 4}
                textAnchor="middle"
                className="fill-ink text-xs font-semibold"
              >
                {duct?.number}
              </text>
            </g>
          );
        })}
      </g>
    </svg>
  );
}
