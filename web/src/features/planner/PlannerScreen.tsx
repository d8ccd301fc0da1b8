// The planner: the walk, the shape, the marks and the stick of one run.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { useNavigate, useParams } from "react-router";
import type { Schemas } from "@/api/client";
import { forgetLists, keys, loadRun, saveRun } from "@/api/queries";
import { DraftsDialog } from "@/features/drafts/DraftsDialog";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import { useMemberName } from "@/features/drafts/useMemberName";
import type { RunDocument } from "@/model/document";
import type { Draft } from "@/model/drafts";
import { runProblem } from "@/model/readDraft";
import { rememberHabit } from "@/model/remembered";
import type { OpenDocument } from "@/model/savedDocuments";
import { createPlannerStore, type PlannerStore } from "@/model/store";
import { tabName } from "@/model/tab";
import { Broken } from "@/ui/Broken";
import { LoadingScreen } from "@/ui/LoadingScreen";
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
  const drafts = useDraftsOf("run", String(runId));
  if (run.isError) {
    return <LoadingScreen what={run.error.message} retry={() => void navigate("/")} />;
  }
  if (run.isPending || !drafts) {
    return <LoadingScreen what="Opening the run" />;
  }
  const why = run.data.problem || runProblem(run.data.document);
  if (why) {
    return (
      <Broken
        title={`${run.data.name} can't be opened`}
        why={`${why[0]?.toUpperCase()}${why.slice(1)}.`}
        document={run.data.document}
        name={run.data.name}
      />
    );
  }
  return <Opened key={runId} run={run.data} drafts={drafts.drafts} tabs={drafts.tabs} />;
}

type Props = {
  run: Schemas["RunDetail"];
  drafts: readonly Draft[];
  tabs: ReadonlySet<string>;
};

function Opened({ run, drafts, tabs }: Props) {
  const queries = useQueryClient();
  const member = useMemberName();
  const own = drafts.find(({ tab, document }) => tab === tabName() && !runProblem(document));
  // biome-ignore lint/correctness/useExhaustiveDependencies: opened once, with what there was then
  const each = useMemo((): OpenDocument<RunDocument, PlannerStore> => {
    const store = own
      ? createPlannerStore(run.id, own.document as RunDocument, own.baseVersion, true)
      : createPlannerStore(run.id, run.document, run.version, false);
    return {
      store,
      member,
      target: { kind: "run", id: String(run.id), title: `${run.job_name}, ${run.name}` },
      send: (document, baseVersion) => saveRun(run.id, document, baseVersion),
      done: (document) => {
        rememberHabit(document);
        forgetLists(queries);
      },
    };
  }, [run, member, queries]);
  const job = useMemo(
    () => ({ id: run.job_id, name: run.job_name, rules: run.job_rules, wall: run.wall }),
    [run],
  );
  const others = drafts.filter((draft) => draft !== own);
  return (
    <>
      <Planner each={each} job={job} />
      <DraftsDialog each={each} drafts={others} openTabs={tabs} problem={runProblem} />
    </>
  );
}
