// The rule set that holds at a job: by it wire and supports are checked, and things are called.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/queries";
import { RULEBOOKS } from "@/model/wording";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";

type Job = Schemas["JobDetail"];
type Rules = Job["rules"];

const RULES = Object.entries(RULEBOOKS).map(([value, { code, where }]) => ({
  value,
  label: say("by {code} ({where})", { code, where }),
}));

export function JobRules({ job }: { job: Job }) {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (rules: Rules) =>
      unwrap(
        client.PUT("/api/jobs/{job_id}", {
          params: { path: { job_id: job.id } },
          body: { name: job.name, place: job.place, rules },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: keys.job(job.id) }),
  });
  return (
    <p className="text-sm">
      <span className="text-soft">{say("Checked and worded")} </span>
      <Select
        look="word"
        label={say("The rules of this job")}
        value={change.variables ?? job.rules}
        options={RULES}
        onChange={(rules) => change.mutate(rules as Rules)}
      />
      {change.isError ? <span role="alert"> {change.error.message}</span> : null}
    </p>
  );
}
