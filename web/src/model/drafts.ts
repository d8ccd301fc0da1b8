// What is not saved yet, kept on this machine until it is: a killed browser loses the last moment.
import type { BrokenDraft, Draft, Target } from "./draft";
import { dropOnDevice, inTurn, keepOnDevice, onDevice } from "./onDevice";
import { readDraft } from "./readDraft";
import { tabName } from "./tab";

export function draftKey(draft: Pick<Draft, "member" | "kind" | "id" | "tab">): string {
  return JSON.stringify([draft.member, draft.kind, draft.id, draft.tab]);
}

/** Keep a draft: on the disk when this resolves. Of many at once only the newest is written. */
export function keepDraft(draft: Draft): Promise<void> {
  return keepOnDevice("drafts", draftKey(draft), draft);
}

/** Forget a draft that is saved, or that its person let go. */
export function dropDraft(key: string): Promise<void> {
  return dropOnDevice("drafts", key);
}

/** Every draft of a person, newest first, and whatever is there that can't be read. */
export async function allDrafts(
  member: string,
): Promise<{ readonly drafts: readonly Draft[]; readonly broken: readonly BrokenDraft[] }> {
  const database = await onDevice();
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

/**
 * Takes over what a tab that is closed left of a thing, where only the server was missing: it goes on
 * here as if it had never been closed.
 */
export function takeOver(
  member: string,
  target: Pick<Target, "kind" | "id">,
  openTabs: ReadonlySet<string>,
): Promise<readonly Draft[]> {
  return inTurn(async () => {
    const drafts = await draftsOf(member, target);
    const left = drafts.find(({ tab, waits }) => waits && !openTabs.has(tab));
    if (!left || drafts.some(({ tab }) => tab === tabName())) {
      return drafts;
    }
    const own: Draft = { ...left, tab: tabName() };
    await keepDraft(own);
    await dropDraft(draftKey(left));
    return [own, ...drafts.filter((each) => each !== left)];
  });
}
