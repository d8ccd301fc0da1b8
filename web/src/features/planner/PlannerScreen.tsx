// The planner: the walk, the shape, the marks and the stick of one run.
import { useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useMemo } from "react";
import { Navigate, useParams } from "react-router";
import type { Schemas } from "@/api/client";
import { forgetLists, keys, loadRun, saveRun } from "@/api/queries";
import { DocumentLoader } from "@/features/documents/DocumentLoader";
import { useMemberName } from "@/features/drafts/useMemberName";
import type { RunDocument } from "@/model/document";
import type { LeftUnsaved } from "@/model/draft";
import { rememberHabit } from "@/model/remembered";
import { runProblem } from "@/model/runProblem";
import type { OpenDocument } from "@/model/savedDocuments";
import { createPlannerStore, type PlannerStore } from "@/model/store";
import { tabName } from "@/model/tab";
import { Broken } from "@/ui/Broken";
import { say } from "@/words/say";
import { sentence } from "@/words/text";
import { Planner } from "./Planner";

const DraftsDialog = lazy(async () => ({
  default: (await import("@/features/drafts/DraftsDialog")).DraftsDialog<RunDocument>,
}));

export default function PlannerScreen() {
  const runId = Number(useParams().runId);
  return (
    <DocumentLoader
      of={{ kind: "run", id: String(runId) }}
      queryKey={keys.run(runId)}
      load={() => loadRun(runId)}
    >
      {(run, unsaved) =>
        run.id === runId ? (
          <Readable key={runId} run={run} unsaved={unsaved} />
        ) : (
          // It was made without a server, and has a number of the server's by now.
          <Navigate to={`/runs/${run.id}`} replace />
        )
      }
    </DocumentLoader>
  );
}

type Props = { run: Schemas["RunDetail"]; unsaved: LeftUnsaved };

/** The run, or why it can't be read. */
function Readable({ run, unsaved }: Props) {
  const why = run.problem || runProblem(run.document);
  return why ? (
    <Broken
      title={say("{name} can't be opened", { name: run.name })}
      why={`${sentence(why)}.`}
      document={run.document}
      name={run.name}
    />
  ) : (
    <Opened run={run} unsaved={unsaved} />
  );
}

function Opened({ run, unsaved }: Props) {
  const { drafts, tabs } = unsaved;
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
    () => ({
      id: run.job_id,
      name: run.job_name,
      rules: run.job_rules,
      language: run.job_language,
      wall: run.wall,
    }),
    [run],
  );
  const others = drafts.filter((draft) => draft !== own);
  return (
    <>
      <Planner each={each} job={job} />
      {others.length > 0 ? (
        <Suspense fallback={null}>
          <DraftsDialog each={each} drafts={others} openTabs={tabs} problem={runProblem} />
        </Suspense>
      ) : null}
    </>
  );
}
