// Saving by itself, outside of React: a draft at once, the server when it is asked, one at a time.
import type { StoreApi } from "zustand/vanilla";
import type { Draft, Target } from "./draft";
import { draftKey, dropDraft, keepDraft } from "./drafts";
import { sameDocument } from "./sameDocument";
import type { SavedState } from "./savedStore";
import { outcome, TRIED_AGAIN } from "./saving";
import { tabName } from "./tab";

type Stored<D> = Pick<StoreApi<SavedState<D>>, "getState" | "getInitialState" | "subscribe">;

/** A document on the screen: what it is, who has it open, and how it is saved. */
export type OpenDocument<D = unknown, S extends Stored<D> = Stored<D>> = {
  readonly store: S;
  readonly target: Target;
  readonly member: string;
  readonly send: (document: D, baseVersion: number) => Promise<{ readonly version: number }>;
  /** After a save: lists that are out of date, habits to remember. */
  readonly done: (document: D) => void;
};

const open = new Set<OpenDocument>();
const underWay = new WeakMap<object, Promise<void>>();

export function opened(each: OpenDocument): () => void {
  open.add(each);
  return () => open.delete(each);
}

/** Whether a document is on a screen of this tab, which saves it itself. */
export function isOpenHere({ kind, id }: Pick<Target, "kind" | "id">): boolean {
  return [...open].some(({ target }) => target.kind === kind && target.id === id);
}

export function draftOf(each: OpenDocument): Draft {
  const { store, target, member } = each;
  const { baseVersion, current, saving } = store.getState();
  return {
    shape: 1,
    member,
    ...target,
    tab: tabName(),
    baseVersion,
    changed: Date.now(),
    document: current(),
    waits: saving.state === "offline",
  };
}

/** The draft of what is on the screen, on the disk; a full store is told to the screen. */
export async function keep(each: OpenDocument): Promise<void> {
  try {
    await keepDraft(draftOf(each));
    each.store.getState().setKept(true);
  } catch {
    each.store.getState().setKept(false);
  }
}

export async function drop(each: OpenDocument): Promise<void> {
  await dropDraft(draftKey(draftOf(each))).catch(() => undefined);
  if (each.store.getState().saving.state !== "saved") {
    await keep(each); // something was typed while the old draft went
  }
}

/** Saves that have not been answered: one at a time, so that versions follow one another. */
export function save(each: OpenDocument): Promise<void> {
  const { store } = each;
  const running = underWay.get(store) ?? attempt(each).finally(() => underWay.delete(store));
  underWay.set(store, running);
  return running;
}

/** Everything typed so far, saved where that is possible, before something is made from it. */
export async function saveNow(each: OpenDocument): Promise<void> {
  await underWay.get(each.store);
  if (TRIED_AGAIN.includes(each.store.getState().saving.state)) {
    await save(each);
  }
}

/** Saves all that is open. Returns what could not be saved. */
export async function saveAll(): Promise<readonly OpenDocument[]> {
  await Promise.all([...open].map(saveNow));
  return [...open].filter(({ store }) => store.getState().saving.state !== "saved");
}

/** What was waiting for a sign-in goes on. */
export function signedInAgain(): void {
  for (const { store } of open) {
    if (store.getState().saving.state === "signed-out") {
      store.getState().setSaving({ state: "waiting" });
    }
  }
}

async function attempt(each: OpenDocument): Promise<void> {
  const { current, baseVersion, saving, saved, setSaving } = each.store.getState();
  const document = current();
  if (saving.state === "waiting") {
    setSaving({ state: "saving" });
  }
  const wentThrough = async (version: number) => {
    saved(document, version);
    each.done(document);
    if (each.store.getState().saving.state === "saved") {
      await drop(each);
    }
  };
  try {
    const { version } = await each.send(document, baseVersion);
    await wentThrough(version);
  } catch (error) {
    const found = outcome<unknown>(error);
    if (found.state === "conflict" && sameDocument(found.theirs.document, document)) {
      // A save of this very document went through, and its answer was lost on the way.
      await wentThrough(found.theirs.version);
      return;
    }
    const changed = each.store.getState().current() !== document;
    const stays = ["conflict", "gone", "signed-out"].includes(found.state);
    setSaving(changed && !stays ? { state: "waiting" } : found);
  }
}
