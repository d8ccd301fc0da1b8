// The job's wire as a schedule: out as CSV, and in again for the runs that it names.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Refused } from "@/api/client";
import { forgetLists, takeSchedule } from "@/api/queries";
import { Problems } from "@/features/check/Problems";
import { Button } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";
import { say, sayOf } from "@/words/say";

export function JobSchedule({ jobId }: { jobId: number }) {
  const queries = useQueryClient();
  const take = useMutation({
    mutationFn: (table: Blob) => takeSchedule(jobId, table),
    onSuccess: () => forgetLists(queries),
  });
  const problems = take.error instanceof Refused ? take.error.problem.errors : [];
  return (
    <section aria-label={say("Wire schedule")} className="mt-8 grid gap-2">
      <h2 className="text-lg font-bold">{say("Wire schedule")}</h2>
      <p className="text-sm text-soft">
        {say(
          "Every run with its conduit and its wire as a table, for a spreadsheet. Brought in again, it gives each run that it names the wire that it says, or none of them any.",
        )}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => window.location.assign(`/api/jobs/${jobId}/schedule.csv`)}>
          {say("Export the schedule")}
        </Button>
        <FileButton
          label={say("Schedule for this job, CSV")}
          accept=".csv,text/csv"
          disabled={take.isPending}
          onFile={(table) => take.mutate(table)}
        >
          {say("Import a schedule")}
        </FileButton>
      </div>
      {take.isSuccess ? (
        <p role="status" className="text-sm text-moss">
          {sayOf(take.data.runs, "1 run has new wire.", "{runs} runs have new wire.", {
            runs: take.data.runs,
          })}
        </p>
      ) : null}
      {take.isError ? (
        <Problems
          problems={new Map(problems.map(({ path, expected }) => [path, expected]))}
          refusal={problems.length === 0 ? take.error.message : ""}
        />
      ) : null}
    </section>
  );
}
