// What the server answered last, with what was changed here since.
import type { Schemas } from "@/api/client";
import { memberName } from "@/api/token";
import { answerOf, json } from "./answers";
import { isWorthKeeping, keptAnswer, keptOf } from "./keptAnswers";
import { listedAs } from "./keptLists";
import { listMade } from "./madeHere";
import { AT_BENCH, RUN, RUNS } from "./places";
import { putHere } from "./waiting";

type Row = Schemas["RunSummary"];

export async function fromKept({ url }: { readonly url: string }): Promise<Response | null> {
  const { pathname, search, searchParams } = new URL(url);
  if (!isWorthKeeping(pathname)) {
    return null;
  }
  if (RUNS.test(pathname)) {
    const rows = await runsOf(pathname);
    return rows && json(listedAs(rows, searchParams));
  }
  const kept = await keptAnswer(memberName(), `${pathname}${search}`);
  if (!kept) {
    return AT_BENCH.test(pathname) ? json(NOT_BEGUN) : null;
  }
  const [, runId] = RUN.exec(pathname) ?? [];
  return runId
    ? json({ ...(JSON.parse(kept.text) as object), ...(await stageOf(Number(runId))) })
    : answerOf({ status: 200, text: kept.text });
}

/** Nothing is known of a piece at the bench: it is begun here. */
export const NOT_BEGUN: Schemas["AtBenchDetail"] = {
  document: null,
  updated_at: null,
  updated_by: "",
  version: 0,
};

/** All runs of a job, as they were last told of, and those that were made here. */
async function runsOf(path: string): Promise<readonly Row[] | null> {
  const isOfList = (address: string) => address.split("?", 1)[0] === path;
  const lists = [...(await keptOf(memberName(), isOfList)).values()]
    .map(({ text, at }) => ({ at, rows: JSON.parse(text) as readonly Row[] }))
    .sort((one, other) => one.at - other.at);
  if (lists.length === 0) {
    return null;
  }
  const newest = new Map(lists.flatMap(({ rows }) => rows.map((row) => [row.id, row] as const)));
  const rows = [...newest.values()].map(async (row) => ({ ...row, ...(await stageOf(row.id)) }));
  const made = await listMade(memberName(), Number(RUNS.exec(path)?.[1]));
  return [...made, ...(await Promise.all(rows))];
}

/** How far a run was said to be here, where the server does not know that yet. */
async function stageOf(runId: number): Promise<Partial<Pick<Row, "stage">>> {
  const said = await putHere(memberName(), `/api/runs/${runId}/stage`);
  return said ? (JSON.parse(said.body) as Pick<Row, "stage">) : {};
}
