// One touch keeps a quick bend: as a run of a job.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { createRun, forgetLists, useJobs } from "@/api/queries";
import type { RunDocument } from "@/model/document";
import { Button } from "@/ui/Button";
import { Menu } from "@/ui/Menu";
import { JUST_MADE } from "@/ui/useNamedFirst";
import { say } from "@/words/say";

export function MakeRun({ run }: { run: RunDocument | null }) {
  const jobs = useJobs().data ?? [];
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [problem, setProblem] = useState("");
  const create = useMutation({
    mutationFn: ({ job, document }: { job: number; document: RunDocument }) =>
      createRun(job, document),
    onSuccess: (made) => {
      forgetLists(queries);
      void navigate(`/runs/${made.id}`, JUST_MADE);
    },
    onError: (error) => setProblem(error.message),
  });
  const make = (job: number) => {
    if (run) {
      create.mutate({ job, document: run });
    }
  };
  return (
    <>
      {problem ? (
        <span role="alert" className="text-sm text-brick">
          {problem}
        </span>
      ) : null}
      {jobs.length === 1 && jobs[0] ? (
        <Button disabled={!run || create.isPending} onClick={() => make(jobs[0]?.id ?? 0)}>
          {say("Make it a run")}
        </Button>
      ) : jobs.length > 1 ? (
        <Menu
          trigger={<Button disabled={!run || create.isPending}>{say("Make it a run")}</Button>}
          actions={jobs.map(({ id, name }) => ({
            label: say("Of {name}", { name }),
            run: () => make(id),
          }))}
        />
      ) : null}
    </>
  );
}
