// A document that is saved by its version, and every state that it was in.
import { createStore, type StoreApi } from "zustand/vanilla";
import { advance, begin, type History, redo, settle, undo } from "./history";
import type { Saving, Theirs } from "./saving";

/** What useSavedDocument needs of any store: the planner's is one with a history beside it. */
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
};

export type DocumentState<D> = SavedState<D> & {
  readonly document: D;
  /** Its present is the document. */
  readonly history: History<D>;
  /** `burst` names a run of changes that is undone as one; left out: a step of its own. */
  change(next: (document: D) => D, burst?: string): void;
  /** Whatever is changed next is a new step. */
  settle(): void;
  undo(): void;
  redo(): void;
};

export type DocumentStore<D> = StoreApi<DocumentState<D>>;

export function createSavedStore<D>(
  document: D,
  baseVersion: number,
  unsaved: boolean,
): DocumentStore<D> {
  return createStore<DocumentState<D>>()((set, get) => {
    const at = (history: History<D>) => ({ document: history.present, history });
    const go = (step: (history: History<D>) => History<D>) =>
      set((state) => {
        const history = step(state.history);
        const same = history === state.history;
        return same ? state : { ...at(history), saving: afterChange(state.saving) };
      });
    return {
      ...at(begin(document)),
      baseVersion,
      saving: { state: unsaved ? "waiting" : "saved" },
      kept: true,
      current: () => get().document,
      change: (next, burst) => go((history) => advance(history, next(history.present), burst)),
      settle: () => set((state) => ({ history: settle(state.history) })),
      undo: () => go(undo),
      redo: () => go(redo),
      setSaving: (saving) => set({ saving }),
      setKept: (kept) => set({ kept }),
      saved: (sent, version) =>
        set((state) => ({
          baseVersion: version,
          saving: { state: state.document === sent ? "saved" : "waiting" },
        })),
      // What was here can be undone to.
      takeTheirs: (theirs) =>
        set((state) => ({
          ...at(advance(state.history, theirs.document)),
          baseVersion: theirs.version,
          saving: { state: "saved" },
        })),
      keepMine: (version) => set({ baseVersion: version, saving: { state: "waiting" } }),
    };
  });
}

/** A conflict stays one until the person has chosen, and so does what was removed. */
export function afterChange<D>(saving: Saving<D>): Saving<D> {
  return saving.state === "conflict" || saving.state === "gone" ? saving : { state: "waiting" };
}
