// The walk: what the tape meets, in order, from the start to the end.
import { memo } from "react";
import { type AddableKind, addLine, placeOf } from "@/model/commands";
import { walkOf } from "@/model/document";
import { Icon } from "@/ui/Icon";
import { Key, Menu } from "@/ui/Menu";
import { usePlanner } from "./PlannerContext";
import { StartLine } from "./StartLine";
import { WalkLine } from "./WalkLine";

type Props = { adding: boolean; setAdding: (open: boolean) => void };

/** What can come next, in the words of someone who stands in front of it. */
const ADDABLE = [
  {
    kind: "offset",
    label: "Something to step over",
    hint: "a ledge, a plinth, a change of wall",
    first: "rise",
  },
  {
    kind: "turn",
    label: "A corner to turn",
    hint: "a wall, a floor, the side of a post",
    first: "at",
  },
  {
    kind: "saddle3",
    label: "A pipe to cross",
    hint: "over it and down again, in three bends",
    first: "rise",
  },
  {
    kind: "saddle4",
    label: "A beam or duct to cross",
    hint: "over its whole width, in four bends",
    first: "rise",
  },
  {
    kind: "kick",
    label: "A hole or box a little aside",
    hint: "a kick, until the next turn or the end",
    first: "rise",
  },
  {
    kind: "box_offset",
    label: "A knockout off the wall",
    hint: "a box offset, at the start",
    first: "rise",
  },
] as const satisfies readonly { kind: AddableKind; label: string; hint: string; first: string }[];

export const Walk = memo(function Walk({ adding, setAdding }: Props) {
  const walk = usePlanner((state) => walkOf(state.history.present));
  const points = usePlanner((state) => state.history.present.path?.length ?? 0);
  const change = usePlanner((state) => state.change);
  const select = usePlanner((state) => state.select);
  const firstTurn = walk.findIndex((line) => line.kind === "turn");

  const add = (kind: AddableKind) => {
    change(addLine(kind));
    select(placeOf(kind, walk));
  };

  if (points > 0) {
    return (
      <p className="p-5 text-soft">
        This run was given as {points} points in space, not as a walk. Its shape, marks and stick
        are here; the points are changed in the run file.
      </p>
    );
  }
  return (
    <div className="pb-6">
      <h2 className="px-5 pt-3.5 pb-1 text-sm font-semibold text-soft">The walk</h2>
      <StartLine />
      <ol>
        {walk.map((line, index) => (
          <WalkLine
            // biome-ignore lint/suspicious/noArrayIndexKey: a line has no name; its place is what it is
            key={`${index}-${line.kind}`}
            line={line}
            index={index}
            last={index === walk.length - 1}
            nextToEnd={index === walk.length - 2}
            firstLeg={firstTurn === -1 || index <= firstTurn}
          />
        ))}
      </ol>
      <div className="px-4 pt-3">
        <Menu
          align="start"
          open={adding}
          onOpenChange={setAdding}
          trigger={
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-2 rounded-md border border-dashed border-strong-line px-3 text-soft hover:border-accent hover:text-accent"
            >
              <Icon name="add" />
              Add what comes next
              <Key>A</Key>
            </button>
          }
          actions={ADDABLE.map(({ kind, label, hint, first }) => ({
            label,
            hint,
            run: () => add(kind),
            cursor: `walk[${placeOf(kind, walk)}].${first}`,
          }))}
        />
      </div>
    </div>
  );
});
