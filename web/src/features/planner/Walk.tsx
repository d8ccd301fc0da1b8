// The walk: what the tape meets, in order, from the start to the end.
import { FITTING } from "@/kinds/words";
import { type AddableKind, addLine, setStart } from "@/model/commands";
import { walkOf } from "@/model/document";
import { Icon } from "@/ui/Icon";
import { Key, Menu } from "@/ui/Menu";
import { Findings } from "./Findings";
import { InlineField, WordField } from "./fields";
import { useDocument, usePlanner, usePlanState } from "./PlannerContext";
import { LabelField, SENTENCE, SUB } from "./sentences";
import { WalkLine } from "./WalkLine";

type Props = { adding: boolean; setAdding: (open: boolean) => void };

export function Walk({ adding, setAdding }: Props) {
  const document = useDocument();
  const change = usePlanner((state) => state.change);
  const select = usePlanner((state) => state.select);
  const { plan } = usePlanState();
  const walk = walkOf(document);
  const firstTurn = walk.findIndex((line) => line.kind === "turn");

  const add = (kind: AddableKind) => {
    change(addLine(kind));
    select(walk.length - 1);
    return `walk[${walk.length - 1}].${kind === "offset" ? "rise" : "at"}`;
  };

  if (document.path) {
    return (
      <p className="p-5 text-soft">
        This run was given as {document.path.length} points in space, not as a walk. Its shape,
        marks and stick are here; the points are changed in the run file.
      </p>
    );
  }
  return (
    <div className="pb-6">
      <h2 className="px-5 pt-3.5 pb-1 text-sm font-semibold text-soft">The walk</h2>
      <div className="border-b border-line py-2 pr-3 pl-12">
        <LabelField
          path="start.label"
          value={document.start?.label}
          placeholder="Which box?"
          onChange={(label, burst) => change(setStart({ label }), burst)}
        />
        <p className={SENTENCE}>
          Start at a{" "}
          <WordField
            label="Fitting at the start"
            value={document.start?.kind ?? "open"}
            words={FITTING}
            onChange={(kind) => change(setStart({ kind }))}
          />
        </p>
        <p className={SUB}>
          pipe beyond its face{" "}
          <InlineField
            path="start.allowance"
            label="Pipe beyond the start's face"
            value={document.start?.allowance}
            placeholder="its own"
            onChange={(text, burst) =>
              change(
                (before) => withoutEmptyAllowance(setStart({ allowance: text })(before)),
                burst,
              )
            }
          />
        </p>
        <Findings
          findings={(plan?.findings ?? []).filter((finding) => finding.path.startsWith("start"))}
        />
      </div>
      <ol>
        {walk.map((line, index) => (
          <WalkLine
            // A line has no name of its own: its place is what it is.
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
          actions={[
            {
              label: "Something to step over",
              hint: "a ledge, a beam, a box that stands off the wall",
              run: () => add("offset"),
            },
            {
              label: "A corner to turn",
              hint: "a wall, a floor, a ceiling, the side of a post",
              run: () => add("turn"),
            },
          ]}
        />
      </div>
    </div>
  );
}

function withoutEmptyAllowance<T extends { start?: { allowance?: string | number } }>(run: T): T {
  if (run.start?.allowance !== "") {
    return run;
  }
  const { allowance: _, ...start } = run.start;
  return { ...run, start };
}
