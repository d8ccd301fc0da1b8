// A box cut open: each allowance as a layer, as thick as its share of the volume; what is too much
// stands out over the rim.
import type { Schemas } from "@/api/client";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";

const TALL = 340;
const RIM = 40;
const WALL = 8;
const FONT = 13;
const LABEL_FROM = 16;
const COLOURS = [1, 2, 5, 3, 4, 6].map((rank) => `var(--wire-${rank})`);

export function BoxDrawing({ answer }: { answer: Schemas["BoxResult"] }) {
  const [frame, room] = useSize<HTMLDivElement>();
  const width = Math.min(room.width, 380);
  // The rim lies lower where what is needed stands out over it.
  const whole = Math.max(answer.volume, answer.needed, 0.01);
  const scale = (TALL - RIM - WALL) / whole;
  const floor = TALL - WALL;
  const rim = floor - answer.volume * scale;
  const left = (room.width - width) / 2;
  let top = floor;
  return (
    <div ref={frame} className="w-full">
      {room.width > 0 ? (
        <svg
          role="img"
          aria-label={say("{needed} of {volume} cubic inches", {
            needed: answer.needed.toFixed(2),
            volume: answer.volume.toFixed(2),
          })}
          viewBox={`0 0 ${room.width} ${TALL}`}
          width={room.width}
          height={TALL}
          fontSize={FONT}
        >
          <path
            d={`M ${left} ${rim} V ${TALL} H ${left + width} V ${rim} H ${left + width - WALL} V ${floor} H ${left + WALL} V ${rim} Z`}
            fill="var(--pipe)"
            stroke="var(--strong-line)"
          />
          {answer.lines.map((line, at) => {
            const tall = line.volume * scale;
            top -= tall;
            const over = top < rim - 0.5;
            return (
              <g key={`${line.what} ${line.size}`}>
                <rect
                  x={left + WALL}
                  y={top}
                  width={width - 2 * WALL}
                  height={tall}
                  fill={COLOURS[at % COLOURS.length]}
                  stroke={over ? "var(--brick)" : "var(--ink)"}
                  strokeWidth={over ? 2 : 0.8}
                />
                {tall > LABEL_FROM ? (
                  <text
                    x={left + WALL + 8}
                    y={top + tall / 2}
                    dominantBaseline="central"
                    fill="var(--wire-ink)"
                    stroke="var(--wire-halo)"
                    strokeWidth={3}
                    paintOrder="stroke"
                  >
                    {`${shortened(line.what, width)} · ${line.volume.toFixed(2)}`}
                  </text>
                ) : null}
              </g>
            );
          })}
          <line
            x1={left - 6}
            x2={left + width + 6}
            y1={rim}
            y2={rim}
            stroke={answer.passes ? "var(--moss)" : "var(--brick)"}
            strokeWidth={2}
            strokeDasharray="7 4"
          />
          <text x={left + width} y={rim - 6} textAnchor="end" fill="var(--ink)" fontWeight={600}>
            {say("{volume} in³ to the rim", { volume: answer.volume.toFixed(2) })}
          </text>
        </svg>
      ) : null}
    </div>
  );
}

const LETTER = 6.8;
const FIGURES = 90;

function shortened(text: string, width: number): string {
  const most = Math.max(Math.floor((width - FIGURES) / LETTER), 8);
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
