// Whatever the line does, and whenever: everything comes home, once, or waits with its reason.
import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { rememberSession } from "@/api/token";
import type { Draft } from "@/model/draft";
import { allDrafts, keepDraft } from "@/model/drafts";
import { inTurn, onDevice } from "@/model/onDevice";
import { bringHome } from "./home";
import { keepAnswer } from "./keptAnswers";
import { makeRun, saveMade } from "./madeHere";
import { keepWaiting, madeRun, movedRun, waitingOf } from "./waiting";

const WREN = { username: "wren", name: "Wren", crew: "Heron", role: "planner" as const, may: [] };
const RUN = {
  format: "yarrow.run/1" as const,
  name: "Feed",
  units: "in" as const,
  conduit: { type: "emt", size: "1/2" },
  bender: "hand-emt-1/2",
  start: { kind: "connector" as const },
  walk: [{ kind: "end" as const, at: "30" }],
};
type Document = typeof RUN & { readonly description?: string };
type Row = { version: number; document: Document; key: string; stage: string };

/** How the line is cut: not at all, before the server hears, after it wrote, amid its answer. */
type Cut = "whole" | "before" | "after" | "amid";

let server: Map<number, Row>;
let cuts: () => Cut;

beforeEach(async () => {
  server = new Map([
    [1, { version: 1, document: RUN, key: "", stage: "draft" }],
    [2, { version: 1, document: RUN, key: "", stage: "draft" }],
  ]);
  cuts = () => "whole";
  rememberSession({ member: WREN, csrf: "c" });
  const database = await onDevice();
  for (const room of ["drafts", "kept", "waiting"] as const) {
    await database.clear(room);
  }
  vi.stubGlobal("navigator", { locks: { request: oneAfterTheOther(), query: async () => ({}) } });
  vi.stubGlobal("location", { origin: "http://x" });
  vi.stubGlobal("fetch", async (request: Request) => {
    const cut = cuts();
    if (cut === "before") {
      throw new TypeError("no line");
    }
    const { status, body } = await answered(request);
    if (cut === "after") {
      throw new TypeError("no line");
    }
    const text = JSON.stringify(body);
    const headers = { "Content-Type": "application/json" };
    return new Response(cut === "amid" ? text.slice(0, 3) : text, { status, headers });
  });
  await keepAnswer("wren", "/api/jobs/7", JSON.stringify({ id: 7, name: "Cider", rules: "us" }));
  for (const id of [1, 2]) {
    await keepAnswer("wren", `/api/runs/${id}`, JSON.stringify({ version: 1, document: RUN }));
  }
});

afterEach(() => vi.unstubAllGlobals());

/** What the real one does: by key, by version, and a save that was heard before is no conflict. */
async function answered(request: Request): Promise<{ status: number; body: unknown }> {
  const { pathname } = new URL(request.url);
  const sent = await request.json();
  if (pathname === "/api/jobs/7/runs") {
    const key = request.headers.get("Idempotency-Key") ?? "";
    const known = [...server].find(([, row]) => row.key === key);
    const id = known?.[0] ?? server.size + 1;
    server.set(id, known?.[1] ?? { version: 1, document: sent, key, stage: "draft" });
    return { status: 201, body: { id, ...server.get(id) } };
  }
  const [, id, rest] = /^\/api\/runs\/(\d+)(\/stage)?$/.exec(pathname) ?? [];
  const row = server.get(Number(id)) as Row;
  if (rest) {
    row.stage = sent.stage;
    return { status: 200, body: row };
  }
  const heard = JSON.stringify(row.document) === JSON.stringify(sent.document);
  if (row.version !== sent.base_version && !(heard && row.version === sent.base_version + 1)) {
    return { status: 409, body: { code: "conflict", theirs: row } };
  }
  if (row.version === sent.base_version) {
    row.version += 1;
    row.document = sent.document;
  }
  return { status: 200, body: row };
}

function draftOf(id: number, document: unknown, baseVersion = 1): Draft {
  const named = {
    member: "wren",
    kind: "run",
    id: String(id),
    title: "Feed",
    tab: "closed",
  } as const;
  return { shape: 1, ...named, baseVersion, changed: Date.now(), document, waits: true };
}

async function drafts(): Promise<readonly Draft[]> {
  return (await allDrafts("wren")).drafts;
}

describe("what someone else changed meanwhile", () => {
  const change = (document: Partial<Document>) => {
    Object.assign(server.get(1) as Row, { version: 2, document: { ...RUN, ...document } });
  };

  it("is put together where each changed a field of their own", async () => {
    change({ name: "Feed, renamed" });
    await keepDraft(draftOf(1, { ...RUN, walk: [{ kind: "end", at: "35" }] }));
    expect(await bringHome()).toMatchObject({ brought: 1, left: 0 });
    expect(server.get(1)).toMatchObject({
      version: 3,
      document: { name: "Feed, renamed", walk: [{ at: "35" }] },
    });
    expect(await drafts()).toEqual([]);
  });

  it("waits for its person where both changed one field, and is not sent again by itself", async () => {
    change({ name: "Rook's" });
    await keepDraft(draftOf(1, { ...RUN, name: "Wren's" }));
    expect(await bringHome()).toMatchObject({ brought: 0, left: 1 });
    expect(server.get(1)?.document.name).toBe("Rook's");
    const [left] = await drafts();
    expect(left).toMatchObject({ document: { name: "Wren's" }, waits: false });
    expect(left?.problem).toContain("Someone else changed it");
    expect(await bringHome()).toMatchObject({ brought: 0, left: 0 });
  });

  it("is not guessed at where what it began with is not here any more", async () => {
    change({ name: "Rook's" });
    await keepDraft(draftOf(1, { ...RUN, walk: [{ kind: "end", at: "35" }] }, 0));
    expect(await bringHome()).toMatchObject({ left: 1 });
    expect((await drafts()).length).toBe(1);
  });
});

it("a change that the server refuses keeps its text and says why", async () => {
  await makeRun("wren", 7, RUN);
  vi.stubGlobal("fetch", async () =>
    Response.json({ code: "unreadable", message: "walk: too long", errors: [] }, { status: 422 }),
  );
  expect(await bringHome()).toMatchObject({ brought: 0, left: 1 });
  expect(await waitingOf("wren")).toMatchObject([{ document: RUN, problem: "walk: too long" }]);
});

it("nobody is sent home as somebody else", async () => {
  await makeRun("wren", 7, RUN);
  rememberSession({ member: { ...WREN, username: "rook" }, csrf: "c" });
  expect(await bringHome()).toMatchObject({ brought: 0, left: 0 });
  expect(server.size).toBe(2);
});

describe("two hundred schedules of cuts and edits", () => {
  const CUTS: readonly Cut[] = ["whole", "before", "after", "amid"];

  it.each(Array.from({ length: 200 }, (_, seed) => seed))("lose nothing: %i", async (seed) => {
    const chance = random(seed);
    cuts = () => CUTS[Math.floor(chance() * CUTS.length)] ?? "whole";
    const made: number[] = [];
    const wanted = new Map<string, Document>();
    let stage = "draft";
    for (let step = 0; step < 12; step += 1) {
      const document = { ...RUN, name: `Feed ${seed}.${step}` };
      const what = Math.floor(chance() * 5);
      const [localId = 0] = made.slice(-1);
      if (what === 0) {
        const run = await makeRun("wren", 7, document);
        made.push(run?.id ?? 0);
        wanted.set(`made ${run?.id}`, document);
      } else if (what === 1 && (await saved(localId, document))) {
        wanted.set(`made ${localId}`, document);
      } else if (what === 2 && !wanted.has("draft")) {
        await keepDraft(draftOf(2, document));
        wanted.set("draft", document);
      } else if (what === 3) {
        stage = ["ready", "bent", "fitted"][step % 3] ?? "bent";
        const put = { is: "put", method: "PUT", path: "/api/runs/1/stage" } as const;
        const body = JSON.stringify({ stage });
        await keepWaiting({ ...put, member: "wren", body, at: step, problem: "" });
      } else {
        await bringHome();
      }
    }
    cuts = () => "whole";
    await bringHome();

    expect(await waitingOf("wren")).toEqual([]);
    expect(await drafts()).toEqual([]);
    expect(server.get(1)?.stage).toBe(stage);
    const names = [...server.values()].map(({ document }) => document.name).toSorted();
    const once = [...wanted.values()].map(({ name }) => name);
    const untouched = wanted.has("draft") ? ["Feed"] : ["Feed", "Feed"];
    expect(names).toEqual([...untouched, ...once].toSorted());
  });
});

/** A run that was made here is changed, unless it is home. */
function saved(localId: number, document: Document) {
  return inTurn(async () => {
    const run = await madeRun("wren", localId);
    return run && !(await movedRun("wren", localId)) ? saveMade(run, document) : null;
  });
}

/** The browser's own locks, of one name. */
function oneAfterTheOther() {
  let last: Promise<unknown> = Promise.resolve();
  return <T>(_: string, work: () => Promise<T>): Promise<T> => {
    const next = last.catch(() => undefined).then(work);
    last = next;
    return next;
  };
}

/** The same numbers for the same seed. */
function random(seed: number): () => number {
  let state = seed + 1;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}
