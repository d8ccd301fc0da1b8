// A job that is kept on this device, whole: everything that its screens ask for, asked for once.
import { client, type Schemas, unwrap } from "@/api/client";
import { RUNS_PAGE } from "@/api/queries";
import { memberName } from "@/api/token";
import { isRecord } from "@/model/isRecord";
import { installNow } from "./install";
import { forgetAnswers, keepAnswer, keptOf } from "./keptAnswers";

/** A job that is kept: how many runs are here, and since when. */
export type KeptJob = { readonly id: number; readonly runs: number; readonly at: number };

const NOTE = "#job/";
/** At once: a server has others to answer too. */
const AT_ONCE = 4;
const HOUR_MS = 3_600_000;

/** Keeps a job; tells how much of it is here. Throws Refused, also where there is no connection. */
export async function keepJob(
  jobId: number,
  tell: (done: number, of: number) => void = () => undefined,
): Promise<void> {
  installNow();
  await navigator.storage?.persist?.().catch(() => false);
  const runs = await allRuns(jobId);
  const addresses = [...(await addressesOf(jobId)), ...runs.map(({ id }) => `/api/runs/${id}`)];
  const left = [...addresses];
  const take = async () => {
    for (let next = left.shift(); next; next = left.shift()) {
      await get(next);
      tell(addresses.length - left.length, addresses.length);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, take));
  const member = memberName();
  await keepAnswer(member, `/api/jobs/${jobId}/runs?all`, JSON.stringify(runs));
  const note: KeptJob = { id: jobId, runs: runs.length, at: Date.now() };
  await keepAnswer(member, `${NOTE}${jobId}`, JSON.stringify(note));
}

/** The jobs that are kept of whoever is signed in. */
export async function keptJobs(): Promise<readonly KeptJob[]> {
  const notes = await keptOf(memberName(), (path) => path.startsWith(NOTE));
  return [...notes.values()].map(({ text }) => JSON.parse(text) as KeptJob);
}

/** Lets go of a job: what is kept of what was opened goes on being kept as it is opened. */
export async function letGoOfJob(jobId: number): Promise<void> {
  const member = memberName();
  const kept = await keptOf(member);
  const runs = [...kept].filter(([, { text }]) => isOfJob(text, jobId)).map(([path]) => path);
  const own = [...kept.keys()].filter((path) => path.startsWith(`/api/jobs/${jobId}/`));
  await forgetAnswers(member, [...runs, ...own, `${NOTE}${jobId}`]);
}

/** Asks again for what is kept, where that was some time ago. */
export async function renewKeptJobs(): Promise<void> {
  for (const { id, at } of await keptJobs()) {
    if (Date.now() - at > HOUR_MS || at > Date.now()) {
      await keepJob(id).catch(() => undefined);
    }
  }
}

async function allRuns(jobId: number): Promise<readonly Schemas["RunSummary"][]> {
  const rows: Schemas["RunSummary"][] = [];
  for (;;) {
    const query = { offset: rows.length, search: "", by: "name" } as const;
    const path = { job_id: jobId };
    const page = await unwrap(client.GET("/api/jobs/{job_id}/runs", { params: { path, query } }));
    rows.push(...page);
    if (page.length < RUNS_PAGE) {
      return rows;
    }
  }
}

/** Whatever the screens of a job ask for, beside its runs. */
async function addressesOf(jobId: number): Promise<readonly string[]> {
  const of = `/api/jobs/${jobId}`;
  const listed = async (list: string) => {
    const rows = await get(`${of}/${list}`);
    return (Array.isArray(rows) ? rows : []).filter(isRecord);
  };
  const [boxes, walls, sites] = await Promise.all(["boxes", "walls", "sites"].map(listed));
  return [
    "/api/jobs",
    of,
    `${of}/stock`,
    "/api/benders",
    "/api/fittings",
    "/api/catalogue",
    ...(boxes ?? []).map(({ name }) => `${of}/box?${new URLSearchParams({ name: String(name) })}`),
    ...(walls ?? []).flatMap(({ id }) => [`/api/walls/${id}`, `/api/walls/${id}/runs`]),
    ...(sites ?? []).map(({ id }) => `/api/sites/${id}`),
  ];
}

/** An answer, which is on the disk when this resolves: a disk that is full is told here. */
async function get(address: string): Promise<unknown> {
  const answer: unknown = await unwrap(client.GET(address as "/api/jobs"));
  await keepAnswer(memberName(), address, JSON.stringify(answer));
  return answer;
}

function isOfJob(text: string, jobId: number): boolean {
  const answer: unknown = JSON.parse(text);
  return isRecord(answer) && answer.job_id === jobId;
}
