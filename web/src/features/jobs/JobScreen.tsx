// One job with its runs: open one, start one, bring one in from a file.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useLocation, useNavigate, useParams } from "react-router";
import { useMay } from "@/api/crew";
import { bringBack } from "@/api/history";
import { createRun, forgetLists, useJob } from "@/api/queries";
import { IN_JOB } from "@/documents/registry";
import { AccountMenu } from "@/features/account/AccountMenu";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { JobBoxes } from "@/features/boxes/JobBoxes";
import { DocumentsOfJob } from "@/features/documents/DocumentsOfJob";
import { RemovedDialog } from "@/features/history/RemovedDialog";
import { useWorkOfJob } from "@/features/longWork/WorkOfJob";
import { emptyRun, type RunDocument } from "@/model/document";
import { lastHabit } from "@/model/remembered";
import { Button, ButtonLink } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";
import { Icon } from "@/ui/Icon";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { TopBar } from "@/ui/TopBar";
import { JUST_MADE } from "@/ui/useNamedFirst";
import { say } from "@/words/say";
import { DxfUnitsDialog } from "./DxfUnitsDialog";
import { JobRules } from "./JobRules";
import { JobSchedule } from "./JobSchedule";
import { Runs } from "./Runs";

/** Bytes of a run file or a drawing: what the server takes. */
const LARGEST = 900_000;
const MOST_POINTS = "2,000";

export default function JobScreen() {
  const jobId = Number(useParams().jobId);
  const job = useJob(jobId);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const plans = useMay("plan");
  const [problem, setProblem] = useState("");
  const [drawing, setDrawing] = useState<{ name: string; dxf: string } | null>(null);
  const work = useWorkOfJob(jobId, (job.data?.run_count ?? 0) > 0);
  const create = useMutation({
    mutationFn: (document: RunDocument) => createRun(jobId, document),
    onSuccess: (run) => {
      forgetLists(queries);
      void navigate(`/runs/${run.id}`, JUST_MADE);
    },
    onError: (error) => setProblem(error.message),
  });
  if (job.isError) {
    return <CouldNotOpen error={job.error} again={() => void job.refetch()} />;
  }
  if (job.isPending) {
    return <LoadingScreen what={say("Opening the job")} />;
  }
  const { name, place, units, run_count } = job.data;
  const start = () => {
    const habit = lastHabit(units);
    create.mutate(
      emptyRun(say("Run {number}", { number: run_count + 1 }), units, habit.conduit, habit.bender),
    );
  };
  const bringIn = async (chosen: File) => {
    setProblem("");
    if (chosen.size > LARGEST) {
      setProblem(
        say(
          "{name} is too large: a run has at most {mostPoints} points, which take far less. Keep the one line that is the pipe.",
          { name: chosen.name, mostPoints: MOST_POINTS },
        ),
      );
      return;
    }
    if (/\.dxf$/i.test(chosen.name)) {
      setDrawing({ name: chosen.name, dxf: await chosen.text() });
      return;
    }
    try {
      create.mutate(JSON.parse(await chosen.text()) as RunDocument);
    } catch {
      setProblem(say("{name} is not a run file: it is not JSON.", { name: chosen.name }));
    }
  };
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={name} actions={<AccountMenu />}>
        <Link to="/" className="text-soft hover:text-ink">
          {say("Jobs")}
        </Link>
      </TopBar>
      <main className="mx-auto w-full max-w-4xl flex-1 p-4 desk:p-8">
        <div className="mb-5 flex flex-wrap items-end justify-between gap-4">
          <div>
            <h1 className="text-2xl font-bold">{name}</h1>
            <p className="text-soft">{place}</p>
            <JobRules job={job.data} />
          </div>
          <div className="flex flex-wrap gap-2">
            <ButtonLink to={`/jobs/${jobId}/cuts`}>{say("Cut list")}</ButtonLink>
            {work.buttons}
            {plans ? (
              <>
                <FileButton
                  label={say("Run file")}
                  accept=".json,.dxf,application/json"
                  onFile={(chosen) => void bringIn(chosen)}
                >
                  {say("Import a run or drawing")}
                </FileButton>
                <Button weight="main" onClick={start} disabled={create.isPending}>
                  <Icon name="add" />
                  {say("New run")}
                </Button>
              </>
            ) : null}
          </div>
        </div>
        {problem ? (
          <p role="alert" className="mb-4 border-l-3 border-brick bg-brick-soft px-3 py-2">
            {problem}
          </p>
        ) : null}
        {work.rows}
        <Removed />
        {drawing ? (
          <DxfUnitsDialog
            drawing={drawing}
            units={units}
            close={() => setDrawing(null)}
            take={(document) => create.mutate(document)}
          />
        ) : null}
        {run_count === 0 ? (
          <p className="rounded-lg border border-dashed border-strong-line p-8 text-center text-soft">
            {say(
              "No runs yet. A run is one pipe, from one box to the next: start one and walk it with the tape.",
            )}
          </p>
        ) : (
          <Runs job={job.data} />
        )}
        <JobBoxes jobId={jobId} />
        {IN_JOB.map((kind) => (
          <DocumentsOfJob key={kind} kind={kind} jobId={jobId} units={units} />
        ))}
        <JobSchedule jobId={jobId} />
        <RemovedDialog jobId={jobId} />
      </main>
    </div>
  );
}

/** The run that was just removed, with the way to bring it back. */
function Removed() {
  const removed = (useLocation().state as { removed?: { id: number; name: string } } | null)
    ?.removed;
  const queries = useQueryClient();
  const navigate = useNavigate();
  if (!removed) {
    return null;
  }
  const bringItBack = async () => {
    await bringBack("run", removed.id);
    forgetLists(queries);
    await navigate(`/runs/${removed.id}`);
  };
  return (
    <p
      role="status"
      className="mb-4 flex items-center gap-4 border-l-3 border-strong-line bg-paper px-3 py-2"
    >
      {say("{name} was removed.", { name: removed.name })}
      <Button onClick={() => void bringItBack()}>{say("Restore")}</Button>
    </p>
  );
}
