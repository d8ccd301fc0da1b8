// The runs of a job: looked for, sorted, at a stage; each with its shape, and their totals.
import { useState } from "react";
import type { Schemas } from "@/api/client";
import { type RunsFilter, useRuns } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Reading } from "@/ui/Reading";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { say, sayOf } from "@/words/say";
import { RunRow } from "./RunRow";
import { STAGE_WORDS, STAGES } from "./stages";

const BY: Readonly<Record<RunsFilter["by"], string>> = {
  name: say("by name"),
  changed: say("last changed first"),
  longest: say("longest first"),
  bends: say("most bent first"),
  stage: say("by stage"),
};
const ANY = "any";

export function Runs({ job }: { job: Schemas["JobDetail"] }) {
  const [filter, setFilter] = useState<RunsFilter>({ search: "", by: "name", stage: null });
  const { runs, more, next, busy } = useRuns(job.id, filter);
  const change = (fields: Partial<RunsFilter>) => setFilter((now) => ({ ...now, ...fields }));
  return (
    <>
      <div className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
        <TextField
          label={say("Look for a run")}
          type="search"
          value={filter.search}
          maxLength={120}
          onChange={(event) => change({ search: event.target.value })}
        />
        <Select
          label={say("Sort the runs")}
          value={filter.by}
          options={Object.entries(BY).map(([value, label]) => ({ value, label }))}
          onChange={(by) => change({ by: by as RunsFilter["by"] })}
        />
        <Select
          label={say("At which stage")}
          value={filter.stage ?? ANY}
          options={[
            { value: ANY, label: say("at any stage") },
            ...STAGES.map((stage) => ({ value: stage, label: STAGE_WORDS[stage] })),
          ]}
          onChange={(stage) =>
            change({ stage: stage === ANY ? null : (stage as RunsFilter["stage"]) })
          }
        />
        <Totals job={job} />
      </div>
      {runs?.length === 0 ? (
        <p className="rounded-lg border border-dashed border-strong-line p-6 text-center text-soft">
          {say("No run of this job is like that.")}
        </p>
      ) : (
        <ul className="divide-y divide-line overflow-hidden rounded-lg border border-line bg-paper">
          {(runs ?? job.runs).map((run) => (
            <RunRow key={run.id} run={run} jobId={job.id} />
          ))}
        </ul>
      )}
      {more ? (
        <Button className="mt-3 px-3" disabled={busy} onClick={next}>
          {say("More runs")}
        </Button>
      ) : null}
    </>
  );
}

function Totals({ job }: { job: Schemas["JobDetail"] }) {
  const { pipe_text, stages } = job.totals;
  return (
    <p className="ml-auto pb-1.5 text-sm text-soft">
      <b className="text-ink">{job.run_count}</b> {sayOf(job.run_count, "run", "runs")},{" "}
      <Reading text={pipe_text} className="font-semibold text-ink" />{" "}
      {say("of pipe; {stages}", {
        stages: STAGES.filter((stage) => stages[stage])
          .map((stage) => `${stages[stage]} ${STAGE_WORDS[stage]}`)
          .join(", "),
      })}
    </p>
  );
}
