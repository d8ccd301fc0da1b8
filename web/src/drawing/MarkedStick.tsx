// The stick with its marks as they are put on: to scale, with every figure read from the start.
import { spread } from "@/geometry/spread";
import { ReadingSpan } from "@/ui/Reading";
import { widthOf } from "@/ui/reading";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";

const HEIGHT = 112;
const PIPE_TOP = 74;
const PIPE = 22;
const SIZE = 24;
const GAP = 18;
const MARGIN = 14;

type Props = {
  cutLength: number;
  marks: readonly { readonly bend: number; readonly position: number; readonly text: string }[];
};

export function MarkedStick({ cutLength, marks }: Props) {
  const [frame, { width }] = useSize<HTMLDivElement>();
  const scale = (width - 2 * MARGIN) / Math.max(cutLength, 1e-6);
  const x = (position: number) => MARGIN + position * scale;
  const widths = marks.map(({ text }) => widthOf(text, SIZE) + GAP);
  // Where the figures have no room, the bends stand by their numbers: the figures are listed.
  const fits = widths.reduce((sum, wide) => sum + wide, 0) <= width;
  const labels = spread(
    marks.map(({ position }) => x(position)),
    fits ? widths : marks.map(() => SIZE),
    0,
    width,
  );
  return (
    <div ref={frame} className="w-full">
      {width > 0 ? (
        <svg width={width} height={HEIGHT} role="img" aria-label={say("The stick with its marks")}>
          <rect
            x={x(0)}
            y={PIPE_TOP}
            width={cutLength * scale}
            height={PIPE}
            className="fill-pipe stroke-ink"
            strokeWidth="1.4"
          />
          {marks.map(({ bend, position, text }, at) => (
            <g key={position}>
              <path
                d={`M${labels[at]} 36 V44 L${x(position)} 58 V${PIPE_TOP + PIPE}`}
                fill="none"
                className="stroke-ink"
                strokeWidth="1.8"
              />
              <text
                x={labels[at]}
                y="28"
                textAnchor="middle"
                fontSize={SIZE}
                className="fill-ink font-bold"
              >
                {fits ? <ReadingSpan text={text} size={SIZE} /> : bend + 1}
              </text>
            </g>
          ))}
        </svg>
      ) : null}
    </div>
  );
}
