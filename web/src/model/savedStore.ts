// A document that is saved by its version, for screens that need no history of their own.
import { createStore, type StoreApi } from "zustand/vanilla";
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
  change(next: (document: D) => D): void;
};

export type DocumentStore<D> = StoreApi<DocumentState<D>>;

export function createSavedStore<D>(
  document: D,
  baseVersion: number,
  unsaved: boolean,
): DocumentStore<D> {
  return createStore<DocumentState<D>>()((set, get) => ({
    document,
    baseVersion,
    saving: { state: unsaved ? "waiting" : "saved" },
    kept: true,
    current: () => get().document,
    change: (next) =>
      set((state) => ({ document: next(state.document), saving: afterChange(state.saving) })),
    setSaving: (saving) => set({ saving }),
    setKept: (kept) => set({ kept }),
    saved: (sent, version) =>
      set((state) => ({
        baseVersion: version,
        saving: { state: state.document === sent ? "saved" : "waiting" },
      })),
    takeTheirs: (theirs) =>
      set({ document: theirs.document, baseVersion: theirs.version, saving: { state: "saved" } }),
    keepMine: (version) => set({ baseVersion: version, saving: { state: "waiting" } }),
  }));
}

/** A conflict stays one until the person has chosen, and so does what was removed. */
export function afterChange<D>(saving: Saving<D>): Saving<D> {
  return saving.state === "conflict" || saving.state === "gone" ? saving : { state: "waiting" };
}
