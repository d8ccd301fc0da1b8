// The rule set that holds at a job: by it wire and supports are checked, and things are called.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/queries";
import { Select } from "@/ui/Select";

type Job = Schemas["JobDetail"];
type Rules = Job["rules"];

const RULES = [
  { value: "us", label: "by NFPA 70 (US)" },
  { value: "uk", label: "by BS 7671 (UK)" },
];

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
      <span className="text-soft">Checked and worded </span>
      <Select
        look="word"
        label="The rules of this job"
        value={change.variables ?? job.rules}
        options={RULES}
        onChange={(rules) => change.mutate(rules as Rules)}
      />
      {change.isError ? <span role="alert"> {change.error.message}</span> : null}
    </p>
  );
}
