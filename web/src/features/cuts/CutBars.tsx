// Sticks and offcuts to scale, with what is cut from each and what is left.

import type { CutsOfJob } from "@/api/stock";
import { Hatch } from "@/drawing/Hatch";
import { IconButton } from "@/ui/Button";
import { FindingRow } from "@/ui/FindingRow";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { Reading, ReadingSpan } from "@/ui/Reading";
import { useSize } from "@/ui/useSize";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

type Cuts = NonNullable<CutsOfJob["conduits"][number]["cuts"]>;
type BarOf = Cuts["bars"][number];

const HEIGHT = 26;
/** A piece's number stands in it where there is so much room. */
const NUMBER = 22;
const INDENT = 7;
/** A letter in a bar is about so wide. */
const LETTER = 7.2;

type Props = {
  cuts: Cuts;
  /** Have these pieces cut from one bar. */
  together: (names: readonly string[]) => void;
};

export function CutBars({ cuts, together }: Props) {
  const [frame, { width }] = useSize<HTMLOListElement>();
  const longest = Math.max(...cuts.bars.map(({ length }) => length), 1);
  const scale = width > 0 ? width / longest : 0;
  const sticks = cuts.bars.filter(({ source }) => source === "stick");
  return (
    <>
      <p className="text-sm">
        <span className="font-semibold">{cuts.says}</span>{" "}
        <span className="text-soft">
          {sayWith("Left to keep {kept}, waste {waste}.", {
            kept: <Reading text={cuts.kept_text} />,
            waste: <Reading text={cuts.waste_text} />,
          })}
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
                  ? say("Stick {index} of {sticks}", { index: index + 1, sticks: sticks.length })
                  : [say("Offcut"), bar.name].filter(Boolean).join(", ")}
              </span>
              <span className="text-soft">
                <Reading text={bar.length_text} />
              </span>
              <span className="ml-auto text-soft">
                {bar.left > 0
                  ? sayWith(bar.kept ? "{left} left, keep it" : "{left} left", {
                      left: <Reading text={bar.left_text} />,
                    })
                  : say("nothing left")}
              </span>
              <PutHere bar={bar} cuts={cuts} together={together} />
            </p>
            {scale > 0 ? <Bar bar={bar} scale={scale} /> : null}
            <Below bar={bar} scale={scale} />
          </li>
        ))}
      </ol>
    </>
  );
}

/** Another bar's piece is cut from this one, with those of its own that there is room for then. */
function PutHere({ bar, cuts, together }: Props & { bar: BarOf }) {
  const own = bar.cuts.map(({ name }) => name);
  const others = cuts.bars
    .filter((other) => other !== bar)
    .flatMap((other) => other.cuts)
    .filter((cut) => !own.includes(cut.name) && beside(bar, cut).length > 0);
  return others.length === 0 ? null : (
    <span className="-my-2 print:hidden">
      <Menu
        trigger={
          <IconButton label={say("Put another piece on this one")}>
            <Icon name="add" className="size-4" />
          </IconButton>
        }
        actions={others.map((cut) => ({
          label: cut.name,
          hint: cut.text,
          run: () => together([...beside(bar, cut), cut.name]),
        }))}
      />
    </span>
  );
}

/** Figures of the core that are alike but for the last place of a number. */
const HAIR = 1e-9;

/** The pieces of a bar that there is room for beside another, longest first. */
function beside(bar: BarOf, { takes }: BarOf["cuts"][number]): string[] {
  let room = bar.room - takes + HAIR;
  const names = [];
  for (const cut of bar.cuts.toSorted((a, b) => b.length - a.length)) {
    if (cut.takes <= room) {
      names.push(cut.name);
      room -= cut.takes;
    }
  }
  return names;
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
      aria-label={say("{cuts} cut, {left} left", { cuts: bar.cuts.length, left: bar.left_text })}
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
