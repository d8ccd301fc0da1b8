// The planner's one place for state: the document with its history, what is pointed at, and how
// saving stands. Marks, shapes and findings are not here: they are derived from the document.
import { createStore } from "zustand/vanilla";
import type { Schemas } from "@/api/client";
import type { Change } from "./commands";
import type { RunDocument } from "./document";
import { advance, begin, type History, redo, settle, undo } from "./history";

export type Saving =
  | { readonly state: "saved" }
  | { readonly state: "waiting" }
  | { readonly state: "saving" }
  | { readonly state: "unreadable"; readonly message: string }
  | { readonly state: "offline" }
  | { readonly state: "refused"; readonly message: string }
  | { readonly state: "conflict"; readonly theirs: Schemas["RunDetail"]; readonly message: string };

/** The ways to show the shape. */
export type Shown = "flat" | "space" | "both" | "rack" | "wires";

export type PlannerState = {
  readonly runId: number;
  readonly history: History<RunDocument>;
  /** The version that the document was made from. */
  readonly baseVersion: number;
  readonly saving: Saving;
  /** The line of the walk that is being worked on. */
  readonly selected: number | null;
  /** The bend that is pointed at, in the stick, the shape or the marks. */
  readonly pointed: number | null;
  readonly shown: Shown;
  /** The steps, where they are shown: of which order (empty: the one that the marks are for), and
   *  the bend whose step is drawn. */
  readonly steps: { readonly order: string; readonly bend: number | null } | null;
  change(change: Change, burst?: string): void;
  settle(): void;
  undo(): void;
  redo(): void;
  select(line: number | null): void;
  point(bend: number | null): void;
  show(shown: Shown): void;
  showSteps(steps: PlannerState["steps"]): void;
  setSaving(saving: Saving): void;
  /** A save of `document` went through as `version`. */
  saved(document: RunDocument, version: number): void;
  /** Someone else's version is taken; what was here can be undone to. */
  takeTheirs(theirs: Schemas["RunDetail"]): void;
  /** What is here is to follow on someone else's version. */
  keepMine(version: number): void;
};

export type PlannerStore = ReturnType<typeof createPlannerStore>;

export function createPlannerStore(
  runId: number,
  document: RunDocument,
  baseVersion: number,
  unsaved: boolean,
) {
  return createStore<PlannerState>()((set) => {
    const go = (step: (history: History<RunDocument>) => History<RunDocument>) =>
      set((state) => {
        const history = step(state.history);
        return history === state.history ? state : { history, saving: afterChange(state.saving) };
      });
    return {
      runId,
      history: begin(document),
      baseVersion,
      saving: { state: unsaved ? "waiting" : "saved" },
      selected: null,
      pointed: null,
      shown: "flat",
      steps: null,
      change: (change, burst) => go((history) => advance(history, change(history.present), burst)),
      settle: () => set((state) => ({ history: settle(state.history) })),
      undo: () => go(undo),
      redo: () => go(redo),
      select: (selected) => set((state) => (state.selected === selected ? state : { selected })),
      point: (pointed) => set({ pointed }),
      show: (shown) => set({ shown, steps: null }),
      showSteps: (steps) => set({ steps }),
      setSaving: (saving) => set({ saving }),
      saved: (document, version) =>
        set((state) => ({
          baseVersion: version,
          saving: { state: state.history.present === document ? "saved" : "waiting" },
        })),
      takeTheirs: (theirs) =>
        set((state) => ({
          history: advance(state.history, theirs.document),
          baseVersion: theirs.version,
          saving: { state: "saved" },
        })),
      keepMine: (version) => set({ baseVersion: version, saving: { state: "waiting" } }),
    };
  });
}

/** A conflict stays one until the person has chosen; all else waits to be saved. */
function afterChange(saving: Saving): Saving {
  return saving.state === "conflict" ? saving : { state: "waiting" };
}
