// Sticks and offcuts to scale, with what is cut from each and what is left.

import type { CutsOfJob } from "@/api/queries";
import { Hatch } from "@/drawing/Hatch";
import { FindingRow } from "@/ui/FindingRow";
import { Reading, ReadingSpan } from "@/ui/Reading";
import { useSize } from "@/ui/useSize";

type Cuts = NonNullable<CutsOfJob["conduits"][number]["cuts"]>;
type BarOf = Cuts["bars"][number];

const HEIGHT = 26;
/** A piece's number stands in it where there is so much room. */
const NUMBER = 22;
const INDENT = 7;
/** A letter in a bar is about so wide. */
const LETTER = 7.2;

export function CutBars({ cuts }: { cuts: Cuts }) {
  const [frame, { width }] = useSize<HTMLOListElement>();
  const longest = Math.max(...cuts.bars.map(({ length }) => length), 1);
  const scale = width > 0 ? width / longest : 0;
  const sticks = cuts.bars.filter(({ source }) => source === "stick");
  return (
    <>
      <p className="text-sm">
        <span className="font-semibold">{cuts.says}</span>{" "}
        <span className="text-soft">
          Left to keep <Reading text={cuts.kept_text} />, waste <Reading text={cuts.waste_text} />.
        </span>
      </p>
      {cuts.findings.map((finding) => (
        <FindingRow key={finding.text} finding={finding} fix={null} />
      ))}
      <ol ref={frame} className="mt-2 grid gap-3">
        {cuts.bars.map((bar, index) => (
          <li key={`${bar.source} ${bar.cuts[0]?.piece}`} data-bar className="break-inside-avoid">
            <p className="flex flex-wrap items-baseline gap-x-2 text-sm">
              <span className="font-semibold">
                {bar.source === "stick"
                  ? `Stick ${index + 1} of ${sticks.length}`
                  : `Offcut${bar.name ? `, ${bar.name}` : ""}`}
              </span>
              <span className="text-soft">
                <Reading text={bar.length_text} />
              </span>
              <span className="ml-auto text-soft">
                {bar.left > 0 ? (
                  <>
                    <Reading text={bar.left_text} /> left{bar.kept ? ", keep it" : ""}
                  </>
                ) : (
                  "nothing left"
                )}
              </span>
            </p>
            {scale > 0 ? <Bar bar={bar} scale={scale} /> : null}
            <Below bar={bar} scale={scale} />
          </li>
        ))}
      </ol>
    </>
  );
}

/** What the bar has no room to say. */
function Below({ bar, scale }: { bar: BarOf; scale: number }) {
  const left = bar.cuts
    .map((cut, at) => ({ cut, number: at + 1 }))
    .filter(({ cut }) => !saysAll(cut, cut.length * scale));
  return left.length === 0 ? null : (
    <ol className="flex flex-wrap gap-x-4 text-sm">
      {left.map(({ cut, number }) => (
        <li key={cut.piece} className="flex gap-1">
          <span className="text-soft">{number}</span>
          <span className="font-semibold">
            <Reading text={cut.text} />
          </span>
          <span>{cut.name}</span>
        </li>
      ))}
    </ol>
  );
}

/** Whether a piece's length and name go into its part of the bar. */
function saysAll(cut: BarOf["cuts"][number], wide: number): boolean {
  return (cut.text.length + cut.name.length + 4) * LETTER + INDENT < wide;
}

function Bar({ bar, scale }: { bar: BarOf; scale: number }) {
  return (
    <svg
      width={bar.length * scale}
      height={HEIGHT}
      role="img"
      aria-label={`${bar.cuts.length} cut, ${bar.left_text} left`}
      className="my-1 block"
    >
      <Hatch id="left-over" />
      <rect
        width={bar.length * scale}
        height={HEIGHT}
        fill={bar.kept ? "none" : "url(#left-over)"}
        className="stroke-strong-line"
      />
      {bar.cuts.map((cut, at) => {
        const wide = cut.length * scale;
        return (
          <g key={cut.piece}>
            <rect
              x={cut.begins * scale}
              width={wide}
              height={HEIGHT}
              className="fill-pipe stroke-ink"
              strokeWidth="1.2"
            />
            {wide > NUMBER ? (
              <text
                x={cut.begins * scale + INDENT}
                y={HEIGHT / 2 + 4.5}
                className="fill-ink text-[13px]"
              >
                <tspan className="fill-soft">{at + 1} </tspan>
                {saysAll(cut, wide) ? (
                  <>
                    <tspan className="font-semibold">
                      <ReadingSpan text={cut.text} size={13} />
                    </tspan>
                    {` ${cut.name}`}
                  </>
                ) : null}
              </text>
            ) : null}
          </g>
        );
      })}
    </svg>
  );
}
