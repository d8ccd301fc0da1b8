// The walk: what the tape meets, in order, from the start to the end.
import { memo } from "react";
import { type AddableKind, addLine, placeOf } from "@/model/commands";
import { walkOf } from "@/model/document";
import { Icon } from "@/ui/Icon";
import { Key, Menu } from "@/ui/Menu";
import { usePlanner } from "./PlannerContext";
import { StartLine } from "./StartLine";
import { TypedLine } from "./TypedLine";
import { WalkLine } from "./WalkLine";

type Props = { adding: boolean; setAdding: (open: boolean) => void };

/** What can come next, in the words of someone who stands in front of it. */
const MET = [
  { kind: "wall", label: "A wall to turn at", hint: "or a floor, or a ceiling", first: "at" },
  { kind: "round", label: "Something round", hint: "a pipe or a cable to cross", first: "across" },
  { kind: "block", label: "Something square", hint: "a duct, a beam, a tray", first: "width" },
  { kind: "ledge", label: "A ledge", hint: "a step, where the pipe stays up", first: "height" },
  { kind: "hole", label: "A hole to pass", hint: "bored a little aside", first: "at" },
  {
    kind: "box",
    label: "A box off the wall",
    hint: "its knockout, at the start",
    first: "knockout",
  },
] as const satisfies readonly Addable[];

/** The bends by name, for those who have chosen already. */
const BENT = [
  { kind: "offset", label: "Offset", first: "rise" },
  { kind: "turn", label: "Turn", first: "at" },
  { kind: "saddle3", label: "3-bend saddle", first: "rise" },
  { kind: "saddle4", label: "4-bend saddle", first: "rise" },
  { kind: "kick", label: "Kick", first: "rise" },
  { kind: "box_offset", label: "Box offset", first: "rise" },
] as const satisfies readonly Addable[];

type Addable = { kind: AddableKind; label: string; hint?: string; first: string };

export const Walk = memo(function Walk({ adding, setAdding }: Props) {
  const walk = usePlanner((state) => walkOf(state.history.present));
  const points = usePlanner((state) => state.history.present.path?.length ?? 0);
  const change = usePlanner((state) => state.change);
  const select = usePlanner((state) => state.select);
  const firstTurn = walk.findIndex((line) => line.kind === "turn" || line.kind === "wall");

  const add = (kind: AddableKind) => {
    change(addLine(kind));
    select(placeOf(kind, walk));
  };

  const asActions = (group: string, addable: readonly Addable[]) =>
    addable.map(({ kind, label, hint, first }, at) => ({
      label,
      ...(hint ? { hint } : {}),
      ...(at === 0 ? { group } : {}),
      run: () => add(kind),
      cursor: `walk[${placeOf(kind, walk)}].${first}`,
    }));

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
          actions={[...asActions("What is there", MET), ...asActions("Bends by name", BENT)]}
        />
      </div>
      <TypedLine />
    </div>
  );
});
