// Brings home what was made and changed without a server: in its order, each once, and nothing is
// dropped. What someone else has changed meanwhile waits for its person, as any conflict does.
import { isAway, onAway } from "@/api/reaching";
import { memberName, send } from "@/api/token";
import { kindOf } from "@/documents/registry";
import type { Draft } from "@/model/draft";
import { allDrafts, draftKey, draftsOf, dropDraft, keepDraft } from "@/model/drafts";
import { inTurn } from "@/model/onDevice";
import { sameDocument } from "@/model/sameDocument";
import { isOpenHere } from "@/model/savedDocuments";
import { openTabs, tabName } from "@/model/tab";
import { say } from "@/words/say";
import { keptVersion } from "./keptAnswers";
import { merged } from "./merged";
import {
  dropWaiting,
  keepWaiting,
  type MadeRun,
  type Moved,
  type Put,
  stillWaiting,
  type Waiting,
  waitingOf,
} from "./waiting";

/** What came of bringing all home. */
export type Home = {
  /** How many changes the server has now. */
  readonly brought: number;
  /** How many it refused, or someone else's stand in the way of. */
  readonly left: number;
  /** Runs that have the server's number now. */
  readonly moved: readonly Moved[];
};

type Answer = { readonly status: number; readonly data: unknown };

/** The line was lost again: all that is left waits. */
class LostAgain extends Error {}

/** Whether something waits that was tried in vain, though the server may be there. */
let lost = false;

/** Brings home what can be brought now; a disk that can't be read is tried again. */
export function tryHome(): void {
  bringHome().catch(() => {
    lost = true;
  });
}

/** Tries again what was lost on the way, now that the server has answered something. */
export function serverAnswered(): void {
  if (lost) {
    lost = false;
    tryHome();
  }
}

const told = new Set<(home: Home) => void>();

/** Tells whenever something came home; returns what ends it. */
export function onHome(tell: (home: Home) => void): () => void {
  told.add(tell);
  return () => told.delete(tell);
}

/** Sends all that waits; one tab at a time. */
export async function bringHome(): Promise<Home | null> {
  const member = memberName();
  if (!member) {
    return null;
  }
  const home = await bringAll(member);
  if (home.brought + home.left > 0) {
    for (const tell of told) {
      tell(home);
    }
  }
  return home;
}

async function bringAll(member: string): Promise<Home> {
  let [brought, left] = [0, 0];
  const moved: Moved[] = [];
  const count = (home: boolean) => {
    brought += home ? 1 : 0;
    left += home ? 0 : 1;
  };
  try {
    for (const each of await waitingOf(member)) {
      const there = await inTurn(() => bringWaiting(each));
      count(there !== "refused");
      moved.push(...(typeof there === "object" ? [there] : []));
    }
    const tabs = await openTabs();
    const { drafts } = await allDrafts(member);
    const isElsewhere = (draft: Draft) =>
      draft.tab === tabName() ? isOpenHere(draft) : tabs.has(draft.tab);
    for (const draft of [...drafts].reverse()) {
      if (draft.waits && !isElsewhere(draft)) {
        count(await inTurn(() => bringDraft(draft)));
      }
    }
  } catch (error) {
    if (!(error instanceof LostAgain)) {
      throw error;
    }
    lost = true;
  }
  return { brought, left, moved };
}

/** One that another tab may have brought meanwhile, or changed: as it is now. */
async function bringWaiting(listed: Waiting): Promise<Moved | "there" | "refused"> {
  const each = await stillWaiting(listed);
  if (!each) {
    return "there";
  }
  return each.is === "made" ? bringRun(each) : bringPut(each);
}

async function bringRun(run: MadeRun): Promise<Moved | "refused"> {
  const path = `/api/jobs/${run.jobId}/runs`;
  const { status, data } = await tell("POST", path, run.document, run.key);
  if (status >= 300) {
    await keepWaiting({ ...run, problem: problemIn(data) });
    return "refused";
  }
  const there = data as { id: number; document: unknown };
  const { id } = there;
  const { member, localId, version: from } = run;
  if (!sameDocument(there.document, run.document)) {
    // It was made when it was first asked for, and the answer was lost: it was changed here since.
    await keepDraft(changedSince(run, id));
  }
  const moved: Moved = { is: "moved", member, localId, id, from, at: Date.now(), problem: "" };
  await keepWaiting(moved);
  await dropWaiting(run);
  return moved;
}

/** What a run says by now that the server made before, as a draft of that. */
function changedSince({ member, document, at }: MadeRun, id: number): Draft {
  const title = document.name ?? "";
  const of = { kind: "run", id: String(id), title, tab: `made ${at}` } as const;
  return { shape: 1, member, ...of, baseVersion: 1, changed: Date.now(), document, waits: true };
}

async function bringPut(change: Put): Promise<"there" | "refused"> {
  const { status, data } = await tell(change.method, change.path, JSON.parse(change.body));
  // A piece that another device has gone on with is shown when its bench is opened: the readings are
  // kept there.
  if (status < 300 || status === 409) {
    await dropWaiting(change);
    return "there";
  }
  await keepWaiting({ ...change, problem: problemIn(data) });
  return "refused";
}

/** A draft whose tab is closed: as that would have saved it. */
async function bringDraft(draft: Draft): Promise<boolean> {
  const path = addressOf(draft);
  const still = await draftsOf(draft.member, draft);
  if (!path || !still.some(({ tab, waits }) => tab === draft.tab && waits)) {
    return path !== null; // a tab has taken it up meanwhile
  }
  const { baseVersion, document, member } = draft;
  let { status, data } = await tell("PUT", path, { document, base_version: baseVersion });
  if (status === 409) {
    const { theirs } = data as { theirs: { document: unknown; version: number } };
    const base = await keptVersion(member, path, baseVersion);
    const both = sameDocument(theirs.document, document)
      ? document
      : merged(base, document, theirs.document);
    if (both) {
      const next = { document: both, base_version: theirs.version };
      ({ status, data } = await tell("PUT", path, next));
    }
  }
  if (status < 300) {
    await dropDraft(draftKey(draft));
    return true;
  }
  const problem =
    status === 409
      ? say("Someone else changed it meanwhile: open it and choose.")
      : problemIn(data);
  await keepDraft({ ...draft, waits: false, problem });
  return false;
}

function addressOf({ kind, id }: Draft): string | null {
  const [number] = /^\d+/.exec(id) ?? [];
  const { at } = kindOf(kind);
  if (!at.includes("{")) {
    return at;
  }
  return number ? at.replace(/\{\w+\}/, number) : null;
}

function problemIn(data: unknown): string {
  const { message } = (data ?? {}) as { message?: unknown };
  return typeof message === "string" ? message : say("The server refused it.");
}

/** A change that takes longer is tried again. */
const LONGEST_MS = 20_000;

/** Asks the server. Raises LostAgain, where it is not there, is busy, or nobody is signed in. */
async function tell(method: string, path: string, body: unknown, key = ""): Promise<Answer> {
  const headers = {
    "Content-Type": "application/json",
    ...(key ? { "Idempotency-Key": key } : {}),
  };
  const request = new Request(new URL(path, location.origin), {
    method,
    headers,
    body: JSON.stringify(body),
    signal: AbortSignal.timeout(LONGEST_MS),
  });
  let response: Response;
  try {
    response = await send(request);
  } catch {
    throw new LostAgain();
  }
  const { status } = response;
  const isLost = isAway() || status === 401 || status === 429 || status >= 500;
  const data: unknown = isLost ? null : await response.json().catch(() => undefined);
  if (isLost || data === undefined) {
    throw new LostAgain();
  }
  return { status, data };
}

const LOOK_MS = 4000;

let looking: ReturnType<typeof setInterval> | null = null;

/** Looks for the server until it is there again. */
export function lookForServer(): void {
  looking ??= setInterval(() => {
    void send(new Request(new URL("/api/nothing", location.origin))).catch(() => undefined);
  }, LOOK_MS);
}

onAway(() => {
  if (!isAway()) {
    clearInterval(looking ?? undefined);
    looking = null;
    tryHome();
  }
});
