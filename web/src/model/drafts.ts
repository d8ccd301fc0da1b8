// What is not saved yet, kept on this machine until it is: a killed browser loses the last moment.
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { BrokenDraft, Draft, Target } from "./draft";
import { readDraft } from "./readDraft";

type Store = DBSchema & { drafts: { key: string; value: unknown } };

let opened: Promise<IDBPDatabase<Store>> | null = null;

function store(): Promise<IDBPDatabase<Store>> {
  opened ??= openDB<Store>("yarrow", 1, {
    upgrade: (database) => {
      database.createObjectStore("drafts");
    },
    blocking: () => void closeDrafts(),
    terminated: () => {
      opened = null;
    },
  }).catch((error: unknown) => {
    opened = null;
    throw error;
  });
  return opened;
}

/** Lets go of the store; the next use opens it again. */
export async function closeDrafts(): Promise<void> {
  const database = opened;
  opened = null;
  (await database)?.close();
}

export function draftKey(draft: Pick<Draft, "member" | "kind" | "id" | "tab">): string {
  return JSON.stringify([draft.member, draft.kind, draft.id, draft.tab]);
}

const waiting = new Map<string, Draft>();
const writing = new Map<string, Promise<void>>();

/** Keep a draft: on the disk when this resolves. Of many at once only the newest is written. */
export function keepDraft(draft: Draft): Promise<void> {
  const key = draftKey(draft);
  waiting.set(key, draft);
  const running = writing.get(key) ?? write(key).finally(() => writing.delete(key));
  writing.set(key, running);
  return running;
}

async function write(key: string): Promise<void> {
  for (let next = waiting.get(key); next; next = waiting.get(key)) {
    waiting.delete(key);
    const change = (await store()).transaction("drafts", "readwrite", { durability: "strict" });
    await Promise.all([change.store.put(next, key), change.done]);
  }
}

/** Forget a draft that is saved, or that its person let go. */
export async function dropDraft(key: string): Promise<void> {
  waiting.delete(key);
  await writing.get(key)?.catch(() => undefined);
  await (await store()).delete("drafts", key);
}

/** Every draft of a person, newest first, and whatever is there that can't be read. */
export async function allDrafts(
  member: string,
): Promise<{ readonly drafts: readonly Draft[]; readonly broken: readonly BrokenDraft[] }> {
  const database = await store();
  const keys = await database.getAllKeys("drafts");
  const values = await database.getAll("drafts");
  const read = keys.map((key, at) => readDraft(key, values[at]));
  const drafts = read.filter((each): each is Draft => "shape" in each && each.member === member);
  return {
    drafts: drafts.sort((one, other) => other.changed - one.changed),
    broken: read.filter((each): each is BrokenDraft => "why" in each),
  };
}

/** A person's drafts of one thing, newest first. */
export async function draftsOf(
  member: string,
  target: Pick<Target, "kind" | "id">,
): Promise<readonly Draft[]> {
  const { drafts } = await allDrafts(member);
  return drafts.filter(({ kind, id }) => kind === target.kind && id === target.id);
}
