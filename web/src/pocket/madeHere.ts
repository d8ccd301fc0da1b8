// Runs that are made without a server: planned, changed and listed as any other.
import type { Schemas } from "@/api/client";
import RULEBOOKS from "@/words/rulebooks.json";
import { say } from "@/words/say";
import { keptAnswer } from "./keptAnswers";
import { keepWaiting, type MadeRun, waitingOf } from "./waiting";

/** A run that is made on a kept job; null, where the job is not kept. */
export async function makeRun(
  member: string,
  jobId: number,
  document: Schemas["RunDocument"],
): Promise<Schemas["RunDetail"] | null> {
  if (!(await jobOf(member, jobId))) {
    return null;
  }
  const key = crypto.randomUUID().replaceAll("-", "");
  const localId = -1 - Number.parseInt(key.slice(0, 7), 16);
  const made = { is: "made", member, key, localId, jobId, document, version: 1 } as const;
  const run: MadeRun = { ...made, at: Date.now(), problem: "" };
  await keepWaiting(run);
  return detailOf(run);
}

/** A change to one, saved as the server would: by the version that it was made from. */
export async function saveMade(
  run: MadeRun,
  document: Schemas["RunDocument"],
): Promise<Schemas["RunDetail"] | null> {
  const next: MadeRun = { ...run, document, version: run.version + 1, problem: "" };
  await keepWaiting(next);
  return detailOf(next);
}

/** Those of a job, as its list has them. */
export async function listMade(
  member: string,
  jobId: number,
): Promise<readonly Schemas["RunSummary"][]> {
  const all = await waitingOf(member);
  return all
    .filter((each): each is MadeRun => each.is === "made" && each.jobId === jobId)
    .map(summaryOf);
}

async function jobOf(member: string, jobId: number): Promise<Schemas["JobDetail"] | null> {
  const kept = await keptAnswer(member, `/api/jobs/${jobId}`);
  return kept && (JSON.parse(kept.text) as Schemas["JobDetail"]);
}

/** What a server would say of it at once; what it works out for lists comes when it is there. */
function summaryOf({ localId, document, version, at, member }: MadeRun): Schemas["RunSummary"] {
  const { type, size } = document.conduit;
  return {
    id: localId,
    name: document.name ?? say("Unnamed run"),
    conduit: `${type} ${size}`,
    cut_length_text: "",
    bend_degrees: 0,
    worst_finding: "",
    shape: [],
    stage: "draft",
    wall: null,
    version,
    updated_at: new Date(at).toISOString(),
    updated_by: member,
  };
}

/** One as it stands; null, where its job is not kept any more. */
export async function detailOf(run: MadeRun): Promise<Schemas["RunDetail"] | null> {
  const job = await jobOf(run.member, run.jobId);
  return (
    job && {
      ...summaryOf(run),
      document: run.document,
      problem: "",
      job_id: job.id,
      job_name: job.name,
      job_language: (RULEBOOKS[job.rules]?.language ??
        "en-US") as Schemas["RunDetail"]["job_language"],
      job_rules: job.rules,
    }
  );
}
