// The planner: the walk, the shape, the marks and the stick of one run.
import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { useNavigate, useParams } from "react-router";
import type { Schemas } from "@/api/client";
import { keys, loadRun } from "@/api/queries";
import { findDraft } from "@/model/drafts";
import { createPlannerStore } from "@/model/store";
import { Waiting } from "@/ui/Waiting";
import { Planner } from "./Planner";

export default function PlannerScreen() {
  const runId = Number(useParams().runId);
  const navigate = useNavigate();
  const run = useQuery({
    queryKey: keys.run(runId),
    queryFn: () => loadRun(runId),
    // The store holds the run from here on; opening it again asks again.
    gcTime: 0,
    staleTime: Infinity,
  });
  if (run.isError) {
    return <Waiting what={run.error.message} retry={() => void navigate("/")} />;
  }
  if (run.isPending) {
    return <Waiting what="Opening the run" />;
  }
  return <Opened key={runId} run={run.data} />;
}

function Opened({ run }: { run: Schemas["RunDetail"] }) {
  const store = useMemo(() => {
    const draft = findDraft(run.id);
    return draft
      ? createPlannerStore(run.id, draft.document, draft.baseVersion, true)
      : createPlannerStore(run.id, run.document, run.version, false);
  }, [run]);
  const job = useMemo(() => ({ id: run.job_id, name: run.job_name, rules: run.job_rules }), [run]);
  return <Planner store={store} job={job} />;
}
