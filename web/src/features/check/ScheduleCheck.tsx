// A whole schedule: a table in, every row checked, the table with its answers out.
import { useRef, useState } from "react";
import { Refused } from "@/api/client";
import type { Progress } from "@/api/ndjson";
import { checkSchedule, type Schedule } from "@/api/schedule";
import type { Units } from "@/model/document";
import { Button } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";
import { ProgressBar } from "@/ui/ProgressBar";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { Problems } from "./Problems";
import { ScheduleTable } from "./ScheduleTable";
import { UnitsChoice } from "./walls";

const EXAMPLE = {
  in: [
    "name,type,size,length,bends,wires",
    "Press hall feed,emt,1/2,12' 3,3,9 x 12 thhn; 1 x 12 bare",
    "Cellar lighting,emt,,96,2,10 x 12 thhn",
    "Weighbridge kiosk,rmc,3/4,70 5/8,2,3 x 8 thhn; 1 x 10 thhn",
  ],
  mm: [
    "name,type,size,length,bends,wires",
    "Pump 1 supply,steel,20,3400,2,3 x 2.5; 1 x 1.5",
    "Gate motor,steel,25,4200,3,3 x 6; 1 x 6",
    "Stair sensor,plastic,,2600,0,6 x 1.5 solid",
  ],
} as const;

type State =
  | { readonly kind: "empty" }
  | { readonly kind: "working"; readonly name: string; readonly progress: Progress | null }
  | { readonly kind: "done"; readonly name: string; readonly schedule: Schedule }
  | { readonly kind: "refused"; readonly name: string; readonly error: Refused };

export default function ScheduleCheck() {
  const [units, setUnits] = useState<Units>("in");
  const [state, setState] = useState<State>({ kind: "empty" });
  const stopping = useRef<AbortController | null>(null);

  const check = async (table: Blob, name: string) => {
    const control = new AbortController();
    stopping.current = control;
    setState({ kind: "working", name, progress: null });
    try {
      const tell = (progress: Progress) => setState({ kind: "working", name, progress });
      const schedule = await checkSchedule(table, units, tell, control.signal);
      setState({ kind: "done", name, schedule });
    } catch (error) {
      setState(error instanceof Refused ? { kind: "refused", name, error } : { kind: "empty" });
    }
  };
  const example = EXAMPLE[units].join("\n");
  return (
    <div className="mx-auto grid w-full max-w-5xl content-start gap-4 p-4 desk:p-6">
      <div className="flex flex-wrap items-center gap-3">
        <UnitsChoice value={units} onChange={setUnits} />
        <FileButton
          label={say("A schedule as CSV")}
          accept=".csv,text/csv"
          disabled={state.kind === "working"}
          onFile={(file) => void check(file, file.name)}
        >
          {say("Import a schedule")}
        </FileButton>
        <Button
          weight="quiet"
          onClick={() => void check(new Blob([example]), say("the example"))}
          disabled={state.kind === "working"}
        >
          {say("Try the example")}
        </Button>
        {state.kind === "done" ? (
          <Button className="ml-auto px-3" onClick={() => download(state.schedule.csv)}>
            {say("Download with the answers")}
          </Button>
        ) : null}
      </div>
      {state.kind === "empty" ? <Columns example={example} /> : null}
      {state.kind === "working" ? (
        <ProgressBar
          label={say("How far the schedule is checked")}
          far={state.progress}
          what={say("rows")}
          stop={() => stopping.current?.abort()}
        />
      ) : null}
      {state.kind === "refused" ? (
        <div className="grid gap-2">
          <p>
            {sayWith("{name} can't be read as it is. Nothing of it was taken.", {
              name: <b>{state.name}</b>,
            })}
          </p>
          <Problems
            problems={
              new Map(state.error.problem.errors.map(({ path, expected }) => [path, expected]))
            }
            refusal={state.error.problem.errors.length === 0 ? state.error.message : ""}
          />
        </div>
      ) : null}
      {state.kind === "done" ? (
        <ScheduleTable name={state.name} rows={state.schedule.rows} />
      ) : null}
    </div>
  );
}

function Columns({ example }: { example: string }) {
  return (
    <section className="rounded-lg border border-dashed border-strong-line p-5">
      <p>
        {say(
          "A table with a row a run, as CSV in UTF-8. Leave the size empty and the smallest that passes is found. Wire is written as it is said.",
        )}
      </p>
      <pre className="mt-3 overflow-x-auto rounded-md bg-paper p-3 text-sm">{example}</pre>
      <p className="mt-3 text-sm text-soft">
        {say(
          "Columns: name, type, size, length, bends, wires; spare (percent) and nipple (yes, no) where they apply. Factors need the length.",
        )}
      </p>
    </section>
  );
}

function download(csv: string): void {
  const url = URL.createObjectURL(new Blob([csv], { type: "text/csv" }));
  const link = document.createElement("a");
  link.href = url;
  link.download = "schedule-checked.csv";
  link.click();
  URL.revokeObjectURL(url);
}
