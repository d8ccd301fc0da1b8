// One line of the walk: its sentence, its findings, and its place in the order.
import { type KeyboardEvent, memo, useState } from "react";
import { Findings } from "@/features/walk/Findings";
import { duplicateLine, moveLine, removeLine, setLoose } from "@/model/commands";
import type { Line } from "@/model/document";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { IconButton } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { focusField } from "@/ui/focusField";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { say } from "@/words/say";
import { sentence } from "@/words/text";
import { Candidates } from "./Candidates";
import { Floating, floats } from "./Floating";
import { Sentence } from "./Sentence";

/** The first words of a line without a name leave room for the buttons at its right. */
const BESIDE_BUTTONS =
  "[&>p:first-child]:before:float-right [&>p:first-child]:before:h-7 [&>p:first-child]:before:w-14 pointer-coarse:[&>p:first-child]:before:h-11 pointer-coarse:[&>p:first-child]:before:w-22";

type Props = { line: Line; index: number; last: boolean; nextToEnd: boolean; firstLeg: boolean };

export const WalkLine = memo(function WalkLine({ line, index, last, nextToEnd, firstLeg }: Props) {
  const change = usePlanner((state) => state.change);
  const select = usePlanner((state) => state.select);
  const selected = usePlanner((state) => state.selected === index);
  const pointed = usePlanner((state) => state.pointed);
  const own = usePlanState(
    ({ plan }) => pointed !== null && plan?.bends[pointed]?.feature === index,
  );
  const lit = selected || own;
  const findings = usePlanState(({ plan }) => plan?.findings.filter(isOf(index)) ?? []);
  const problem = usePlanState(({ problems }) =>
    [...problems].find(([path]) => inLine(path, index)),
  );
  const missing = unmeasured(line);
  const worked = usePlanState(
    ({ plan }) => plan?.worked.filter(({ path }) => inLine(path, index)) ?? [],
  );

  const [opened, setOpened] = useState(false);
  // What is wrong is in sight, wherever it stands.
  const all = opened || problem !== undefined || findings.some(({ path }) => path !== "");

  const move = (by: -1 | 1) => {
    change(moveLine(index, by));
    select(index + by);
  };
  const keys = (event: KeyboardEvent) => {
    if (!event.altKey || last) {
      return;
    }
    if (event.key === "ArrowUp") {
      move(-1);
      focusField(fieldAt(index - 1));
    } else if (event.key === "ArrowDown") {
      move(1);
      focusField(fieldAt(index + 1));
    } else if (event.key === "Backspace") {
      change(removeLine(index));
    } else {
      return;
    }
    event.preventDefault();
  };

  const moves = [
    {
      label: say("Move up"),
      key: "Alt Up",
      run: () => move(-1),
      cursor: fieldAt(index - 1),
      disabled: index === 0,
    },
    {
      label: say("Move down"),
      key: "Alt Down",
      run: () => move(1),
      cursor: fieldAt(index + 1),
      disabled: nextToEnd,
    },
  ];
  const copies = [
    { label: say("Duplicate"), run: () => change(duplicateLine(index)) },
    { label: say("Remove"), key: "Alt Backspace", run: () => change(removeLine(index)) },
  ];

  return (
    <li
      onFocus={() => select(index)}
      onPointerDown={() => select(index)}
      onKeyDown={keys}
      className={classes(
        "group relative flex gap-3 border-b border-l-4 border-b-line py-1.5 pr-3 pl-3",
        lit ? "border-l-accent bg-accent-soft" : "border-l-transparent",
      )}
    >
      <span className="w-5 pt-0.5 text-right font-semibold text-soft">{index + 1}</span>
      <div className={classes("min-w-0 flex-1", BESIDE_BUTTONS)}>
        <Sentence line={line} index={index} firstLeg={firstLeg} all={all} />
        {worked.map((sum) => (
          <p key={sum.path} className="text-sm text-soft">
            <Figures text={sum.text} />
          </p>
        ))}
        {missing.length > 0 ? (
          <p role="status" className="mt-1 text-sm text-soft">
            {say("Still to be measured: {missing}", { missing: missing.join(", ") })}
          </p>
        ) : problem ? (
          <p role="alert" className="mt-1 text-sm text-brick">
            {say("{fieldName}: expected {problem}", {
              fieldName: fieldName(problem[0]),
              problem: problem[1],
            })}
          </p>
        ) : null}
        <Floating line={line} index={index} />
        <Candidates index={index} />
        <Findings findings={findings} />
      </div>
      <div className="absolute top-0.5 right-1 flex">
        <IconButton
          label={say("Line {index}: {shown}", {
            index: index + 1,
            shown: all ? say("only what was said") : say("all that it has"),
          })}
          aria-expanded={all}
          data-all={index}
          onClick={() => setOpened(!opened)}
        >
          <Icon
            name="down"
            className={classes("size-4 transition-transform", all && "rotate-180")}
          />
        </IconButton>
        <Menu
          trigger={
            <IconButton label={say("Line {index}: move, repeat, remove", { index: index + 1 })}>
              <Icon name="more" className="size-4" />
            </IconButton>
          }
          actions={[
            ...(last ? [] : moves),
            ...floats(line).map(({ field, word, loose }) => ({
              label: loose
                ? say("Hold its {word}", { word })
                : say("Let its {word} float", { word }),
              hint: loose ? say("keep the number as it is") : say("moved so that both ends meet"),
              run: () => change(setLoose(index, field, !loose)),
            })),
            ...(last ? [] : copies),
          ]}
        />
      </div>
    </li>
  );
});

function isOf(index: number) {
  return ({ feature }: { feature: number | null }) => feature === index;
}

function inLine(path: string, index: number): boolean {
  return path.startsWith(`walk[${index}].`);
}

/** The numbers of a line that nobody has entered yet, in the order of its sentence. */
function unmeasured(line: Line): string[] {
  const fields: Record<string, unknown> = line;
  const found = MEASURED.filter(({ field }) => fields[field] === "").map(({ word }) => word);
  const fixed = "meet" in line && line.meet?.includes("");
  return fixed ? [...found, say("where it is fixed")] : found;
}

const MEASURED = [
  { field: "rise", word: say("how high") },
  { field: "across", word: say("how far across") },
  { field: "width", word: say("how wide") },
  { field: "height", word: say("how high") },
  { field: "depth", word: say("how deep") },
  { field: "knockout", word: say("how far off the wall") },
  { field: "within", word: say("how long it may be") },
  { field: "at", word: say("where") },
] as const;

function fieldAt(index: number): string {
  return `walk[${index}].at`;
}

function fieldName(path: string): string {
  return sentence(path.split(".").at(-1) ?? path);
}
