// What is changed without a server, besides documents, which are drafts until it is there.
import type { Schemas } from "@/api/client";
import { memberName, send } from "@/api/token";
import { inTurn } from "@/model/onDevice";
import { say } from "@/words/say";
import { json } from "./answers";
import { fromKept, NOT_BEGUN } from "./fromKept";
import { detailOf, makeRun, saveMade } from "./madeHere";
import { AT_BENCH, LEARNT, MADE, RUNS, STAGE } from "./places";
import { keepWaiting, type MadeRun, madeRun, movedRun } from "./waiting";

export async function changedHere(request: Request): Promise<Response | null> {
  const { pathname: path, origin } = new URL(request.url);
  const { method } = request;
  const member = memberName();
  const [, jobId] = RUNS.exec(path) ?? [];
  if (jobId && method === "POST") {
    const run = await makeRun(member, Number(jobId), await request.json());
    return run && json(run, 201);
  }
  if (![STAGE, AT_BENCH, LEARNT].some((each) => each.test(path))) {
    return null;
  }
  const body = await request.text();
  await keepWaiting({ is: "put", member, method, path, body, at: Date.now(), problem: "" });
  const [, runId] = STAGE.exec(path) ?? [];
  // What asks again by itself may go on asking: it is told twice, and kept once.
  return runId ? fromKept({ url: `${origin}/api/runs/${runId}` }) : null;
}

type SavedRun = { readonly document: Schemas["RunDocument"]; readonly base_version: number };

/** A run that was made here, whether the server has it by now or not; null for any other request. */
export async function ofMadeRun(request: Request): Promise<Response | null> {
  const url = new URL(request.url);
  const [, localId, rest = ""] = MADE.exec(url.pathname) ?? [];
  if (!localId) {
    return null;
  }
  const { method } = request;
  const saved = method === "PUT" && !rest ? ((await request.json()) as SavedRun) : null;
  const there = await inTurn(async () => {
    const run = await madeRun(memberName(), Number(localId));
    const moved = await movedRun(memberName(), Number(localId));
    return run && !moved ? hereOf(run, `${method} ${rest}`, saved) : moved;
  });
  if (there instanceof Response) {
    return there;
  }
  if (!there) {
    const message = say("This run is not on this device.");
    return json({ code: "not-found", message, errors: [] }, 404);
  }
  url.pathname = `/api/runs/${there.id}${rest}`;
  if (!saved) {
    return send(new Request(url, request));
  }
  // Its versions here were not the server's, which began with the one that it was told.
  const base = saved.base_version - there.from + 1;
  return send(
    new Request(url, {
      method,
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ ...saved, base_version: base }),
    }),
  );
}

/** What is answered of a run that the server has not heard of. */
async function hereOf(run: MadeRun, asked: string, saved: SavedRun | null): Promise<Response> {
  if (saved) {
    return json(await saveMade(run, saved.document));
  }
  if (asked === "GET ") {
    return json(await detailOf(run));
  }
  if (/^GET \/bench\/\d+$/.test(asked)) {
    return json(NOT_BEGUN);
  }
  const message = say("This needs the server, which has not heard of this run yet.");
  return json({ code: "offline", message, errors: [] }, 503);
}
