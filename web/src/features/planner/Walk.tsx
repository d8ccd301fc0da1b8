// The walk: what the tape meets, in order, from the start to the end.
import { Fragment, memo } from "react";
import { Link } from "react-router";
import { JointLines } from "@/features/pieces/JointLines";
import { KINDS } from "@/kinds/kinds";
import { legOf } from "@/kinds/legs";
import { addLine, placeOf } from "@/model/commands";
import { type Line, walkOf } from "@/model/document";
import { addJoint } from "@/model/joints";
import { wordFor } from "@/model/wording";
import { useOfJob, usePlanner } from "@/state/PlannerContext";
import { Icon } from "@/ui/Icon";
import { Key, Menu } from "@/ui/Menu";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { StartLine } from "./StartLine";
import { TypedLine } from "./TypedLine";
import { WalkLine } from "./WalkLine";

type Props = { adding: boolean; setAdding: (open: boolean) => void };

export const Walk = memo(function Walk({ adding, setAdding }: Props) {
  const walk = usePlanner((state) => walkOf(state.history.present));
  const points = usePlanner((state) => state.history.present.path?.length ?? 0);
  const { wall, language } = useOfJob();
  const change = usePlanner((state) => state.change);
  const select = usePlanner((state) => state.select);
  const joints = usePlanner((state) => state.history.present.joints?.places?.length ?? 0);
  const firstTurn = walk.findIndex(({ kind }) => KINDS[kind].endsLeg);

  const add = (line: Line) => {
    change(addLine({ ...line }));
    select(placeOf(line, walk));
  };

  const offered = (group: "there" | "bends", title: string) =>
    Object.values(KINDS)
      .filter((kind) => kind.group === group)
      .map(({ label, hint, first, newLine }, at) => ({
        label: wordFor(label, language),
        ...(hint ? { hint } : {}),
        ...(at === 0 ? { group: title } : {}),
        run: () => add(newLine),
        cursor: `walk[${placeOf(newLine, walk)}].${first}`,
      }));

  if (points > 0) {
    return wall ? (
      <p className="p-5 text-soft">
        {sayWith(
          "This run is made by the wall {name}: its way and its joints are changed there. Its marks, steps and sheet are here, and what is said of it here stays when the wall changes.",
          {
            name: (
              <Link to={`/walls/${wall.id}`} className="font-semibold text-accent hover:underline">
                {wall.name}
              </Link>
            ),
          },
        )}
      </p>
    ) : (
      <p className="p-5 text-soft">
        {say(
          "This run was given as {points} points in space, not as a walk. Its shape, marks and stick are here; the points are changed in the run file.",
          { points },
        )}
      </p>
    );
  }
  return (
    <div className="pb-6">
      <h2 className="px-5 pt-3.5 pb-1 text-sm font-semibold text-soft max-desk:sr-only">
        {say("The walk")}
      </h2>
      <StartLine />
      <ol>
        {walk.map((line, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line has no name; its place is what it is
          <Fragment key={`${index}-${line.kind}`}>
            {KINDS[line.kind].endsLeg || line.kind === "end" ? (
              <JointLines leg={legOf(walk, index)} />
            ) : null}
            <WalkLine
              line={line}
              index={index}
              last={index === walk.length - 1}
              nextToEnd={index === walk.length - 2}
              firstLeg={firstTurn === -1 || index <= firstTurn}
            />
          </Fragment>
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
              {say("Add what comes next")}
              <Key>A</Key>
            </button>
          }
          actions={[
            ...offered("there", say("What is there")),
            ...offered("bends", say("Bends by name")),
            {
              group: say("In the pipe"),
              label: say("Coupling"),
              hint: say("a joint between two sticks, where you say"),
              run: () => change(addJoint(legOf(walk, walk.length - 1))),
              cursor: `joints.places[${joints}].at`,
            },
          ]}
        />
      </div>
      <TypedLine />
    </div>
  );
});
