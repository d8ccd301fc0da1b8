// What is told of a box on site: which it is, what is in it, where each run comes in.
import { Link } from "react-router";
import type { Wall } from "@/drawing/boxWalls";
import { BoxFields, Size } from "@/features/check/BoxFields";
import { Problems } from "@/features/check/Problems";
import { Rows } from "@/features/check/Rows";
import { WALLS } from "@/features/check/walls";
import { CountField } from "@/features/wires/CountField";
import type { Fields } from "@/model/wires";
import { Button } from "@/ui/Button";
import { Checkbox } from "@/ui/Checkbox";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { sentence } from "@/words/text";
import type { SiteBoxDocument, SiteBoxResult } from "./useSiteBox";

type Props = {
  /** The runs that meet here, by their keys. */
  runIds: Readonly<Record<string, number>>;
  document: SiteBoxDocument;
  change: (fields: Fields<SiteBoxDocument>) => void;
  answer: SiteBoxResult;
  problems: ReadonlyMap<string, string>;
  refusal: string;
};

type Entry = NonNullable<SiteBoxDocument["entries"]>[number];
type Meeting = SiteBoxResult["met"][number];
type Contents = NonNullable<SiteBoxDocument["contents"]>;

export function SiteBoxFields(props: Props) {
  const { document, change, problems, refusal } = props;
  return (
    <>
      <Meeting {...props} />
      <Volume document={document} change={change} />
      <Sides document={document} change={change} />
      <Problems problems={problems} refusal={refusal} />
    </>
  );
}

/** Every run that meets here, and the wall that it comes in by. */
function Meeting({ runIds, document, change, answer }: Props) {
  const entries = document.entries ?? [];
  const place = (meeting: Meeting, fields: Partial<Entry>) => {
    const { run, run_key } = meeting;
    const end = meeting.end as Entry["end"];
    const isOfMet = (entry: Entry) =>
      entry.end === end && (entry.run_key ? entry.run_key === run_key : entry.run === run);
    const others = entries.filter((entry) => !isOfMet(entry));
    const own = entries.find(isOfMet);
    change({ entries: [...others, { wall: "left", ...own, ...fields, run, run_key, end }] });
  };
  return (
    <section aria-label={say("Runs that meet here")} className="grid gap-2">
      <h2 className="font-semibold">{say("Runs that meet here")}</h2>
      {answer.met.length === 0 ? (
        <p className="text-sm text-soft">
          {say("None yet. In a run, name this box at its start or its end.")}
        </p>
      ) : null}
      {answer.met.map((meeting) => {
        const { id, run, end, conduit, wires, wall } = meeting;
        const runId = runIds[meeting.run_key];
        return (
          <div key={id} className="grid grid-cols-[1.5rem_1fr] text-sm" data-met={id}>
            <b>{id}</b>
            <div>
              <p>
                {runId ? (
                  <Link to={`/runs/${runId}`} className="font-semibold hover:text-accent">
                    {run}
                  </Link>
                ) : (
                  <b>{run}</b>
                )}
                <span className="text-soft">, {end}</span>
              </p>
              <p className="text-soft">
                {conduit}: {wires.join(", ") || say("no wire told")}
              </p>
              <p>
                <span className="text-soft">{say("comes in by the")} </span>
                <Select
                  look="word"
                  label={say("Wall of {id}", { id })}
                  value={wall}
                  options={WALLS}
                  onChange={(next) => place(meeting, { wall: next as Wall })}
                />
              </p>
            </div>
          </div>
        );
      })}
    </section>
  );
}

type Part = Pick<Props, "document" | "change">;

function Volume({ document, change }: Part) {
  const { contents } = document;
  if (!contents) {
    return (
      <div>
        <Button onClick={() => change({ contents: { box: "square-4-2-1/8" } })}>
          {say("Check its volume")}
        </Button>
      </div>
    );
  }
  return (
    <section aria-label={say("What is in it")} className="grid gap-4 border-t border-line pt-4">
      <BoxFields
        bare
        document={{ format: "yarrow.box/1", ...contents }}
        change={(fields) => change({ contents: { ...contents, ...fields } as Contents })}
      />
      <Rows
        title={say("Pass through unbroken")}
        add={say("Wires that pass through")}
        rows={document.through ?? []}
        fresh={() => ({ size: "12", count: 1 }) as NonNullable<SiteBoxDocument["through"]>[number]}
        onChange={(through) => change({ through })}
      >
        {(row, set) => (
          <>
            <CountField
              label={say("How many")}
              value={row.count}
              onChange={(count) => set({ count })}
            />
            <Size value={row.size} onChange={(size) => set({ size })} />
            <Select
              look="word"
              label={say("Loop")}
              value={row.loop ? "loop" : "straight"}
              options={[
                { value: "straight", label: say("straight through") },
                { value: "loop", label: say("with a loop, 12 in or more") },
              ]}
              onChange={(next) => set({ loop: next === "loop" })}
            />
          </>
        )}
      </Rows>
      <div>
        <Button
          weight="quiet"
          className="px-1 text-sm"
          onClick={() => change({ contents: undefined, through: undefined })}
        >
          {say("Leave its volume out")}
        </Button>
      </div>
    </section>
  );
}

const SIDES = ["width", "height", "depth"] as const;
const USUAL = {
  in: { width: "4", height: "4", depth: "2 1/8" },
  mm: { width: "100", height: "100", depth: "50" },
} as const;

function Sides({ document, change }: Part) {
  const { sides, units } = document;
  if (!sides) {
    return (
      <div>
        <Button onClick={() => change({ sides: { ...USUAL[units] } })}>
          {say("Check its holes")}
        </Button>
      </div>
    );
  }
  return (
    <section aria-label={say("Its sides")} className="grid gap-3 border-t border-line pt-4">
      <h2 className="font-semibold">{say("Inside, as one looks into it")}</h2>
      <div className="grid grid-cols-3 gap-3">
        {SIDES.map((side) => (
          <TextField
            key={side}
            label={`${sentence(side)}, ${units}`}
            value={String(sides[side])}
            onChange={(event) => change({ sides: { ...sides, [side]: event.target.value } })}
          />
        ))}
      </div>
      <Checkbox checked={document.device ?? false} onChange={(device) => change({ device })}>
        {say("A device in the middle")}
      </Checkbox>
    </section>
  );
}
