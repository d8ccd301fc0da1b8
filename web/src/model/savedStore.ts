// A document that is saved by its version, and every state that it was in.
import { createStore, type StoreApi } from "zustand/vanilla";
import type { Draft } from "./draft";
import { advance, begin, type History, redo, settle, undo } from "./history";
import type { Saving, Theirs } from "./saving";
import { tabName } from "./tab";

/** What useSavedDocument needs of any store. */
export type SavedState<D> = {
  readonly baseVersion: number;
  readonly saving: Saving<D>;
  /** Whether what is not saved is kept on this machine. */
  readonly kept: boolean;
  current(): D;
  setSaving(saving: Saving<D>): void;
  setKept(kept: boolean): void;
  /** A save of `document` went through as `version`. */
  saved(document: D, version: number): void;
  /** Another version is taken; its `version` is 0 where it is a draft on the base that there is. */
  takeTheirs(theirs: Theirs<D>): void;
  /** What is here is to follow on someone else's version. */
  keepMine(version: number): void;
  /** A draft is taken up, made from a version; what was here can be undone to. */
  restore(document: D, baseVersion: number): void;
};

export type DocumentState<D> = SavedState<D> & {
  readonly history: History<D>;
  /** `burst` names a run of changes that is undone as one; left out: a step of its own. */
  change(next: (document: D) => D, burst?: string): void;
  /** Whatever is changed next is a new step. */
  settle(): void;
  undo(): void;
  redo(): void;
};

export type DocumentStore<D> = StoreApi<DocumentState<D>>;

type Put<D> = (next: (state: DocumentState<D>) => Partial<DocumentState<D>>) => void;

export function createSavedStore<D>(
  document: D,
  baseVersion: number,
  unsaved: boolean,
): DocumentStore<D> {
  return createStore<DocumentState<D>>()((set, get) =>
    documentState(document, baseVersion, unsaved, set, get),
  );
}

/** What a store has of its document; a screen's own state may stand beside it. */
export function documentState<D>(
  document: D,
  baseVersion: number,
  unsaved: boolean,
  set: Put<D>,
  get: () => Pick<DocumentState<D>, "history">,
): DocumentState<D> {
  const go = (step: (history: History<D>) => History<D>) =>
    set((state) => {
      const history = step(state.history);
      return history === state.history ? state : { history, saving: afterChange(state.saving) };
    });
  return {
    history: begin(document),
    baseVersion,
    saving: { state: unsaved ? "waiting" : "saved" },
    kept: true,
    current: () => get().history.present,
    change: (next, burst) => go((history) => advance(history, next(history.present), burst)),
    settle: () => set((state) => ({ history: settle(state.history) })),
    undo: () => go(undo),
    redo: () => go(redo),
    setSaving: (saving) => set(() => ({ saving })),
    setKept: (kept) => set(() => ({ kept })),
    saved: (sent, version) =>
      set((state) => ({
        baseVersion: version,
        saving: { state: state.history.present === sent ? "saved" : "waiting" },
      })),
    // What was here can be undone to.
    takeTheirs: (theirs) =>
      set((state) => ({
        history: advance(state.history, theirs.document),
        baseVersion: theirs.version,
        saving: { state: "saved" },
      })),
    keepMine: (version) => set(() => ({ baseVersion: version, saving: { state: "waiting" } })),
    restore: (draft, version) =>
      set((state) => ({
        history: advance(state.history, draft),
        baseVersion: version,
        saving: { state: "waiting" },
      })),
  };
}

/** The store of a document as it was opened, or as this tab left it unsaved. */
export function openedStore<D>(
  opened: { readonly document: D; readonly version: number },
  drafts: readonly Draft[],
): DocumentStore<D> {
  const own = drafts.find(({ tab }) => tab === tabName());
  return own
    ? createSavedStore(own.document as D, own.baseVersion, true)
    : createSavedStore(opened.document, opened.version, false);
}

/** A conflict stays one until the person has chosen, and so does what was removed. */
function afterChange<D>(saving: Saving<D>): Saving<D> {
  return saving.state === "conflict" || saving.state === "gone" ? saving : { state: "waiting" };
}
