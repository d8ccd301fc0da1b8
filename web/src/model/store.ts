// The planner's one place for state: the document with its history, what is pointed at, and how
// saving stands. Marks, shapes and findings are not here: they are derived from the document.
import { createStore } from "zustand/vanilla";
import type { Change } from "./commands";
import type { RunDocument } from "./document";
import { advance, begin, type History, redo, settle, undo } from "./history";
import { afterChange, type SavedState } from "./savedStore";

/** The ways to show the shape. */
export type Shown = "flat" | "space" | "both" | "rack" | "pieces" | "wires";

export type PlannerState = SavedState<RunDocument> & {
  readonly runId: number;
  readonly history: History<RunDocument>;
  /** The line of the walk that is being worked on. */
  readonly selected: number | null;
  /** The bend that is pointed at, in the stick, the shape or the marks. */
  readonly pointed: number | null;
  readonly shown: Shown;
  /** The piece of a parted run that is looked at, counted from 1; 0: the first. */
  readonly piece: number;
  /** The steps, where they are shown: of which order (empty: the one that the marks are for), and
   *  the bend whose step is drawn. */
  readonly steps: { readonly order: string; readonly bend: number | null } | null;
  /** The order of work, in place of marks and steps. */
  readonly work: boolean;
  change(change: Change, burst?: string): void;
  settle(): void;
  undo(): void;
  redo(): void;
  select(line: number | null): void;
  point(bend: number | null): void;
  show(shown: Shown): void;
  lookAtPiece(piece: number): void;
  showSteps(steps: PlannerState["steps"]): void;
  showWork(): void;
  /** A draft is taken up, made from a version; what was here can be undone to. */
  restore(document: RunDocument, baseVersion: number): void;
};

export type PlannerStore = ReturnType<typeof createPlannerStore>;

export function createPlannerStore(
  runId: number,
  document: RunDocument,
  baseVersion: number,
  unsaved: boolean,
) {
  return createStore<PlannerState>()((set, get) => {
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
      kept: true,
      current: () => get().history.present,
      selected: null,
      pointed: null,
      shown: "flat",
      piece: 0,
      steps: null,
      work: false,
      change: (change, burst) => go((history) => advance(history, change(history.present), burst)),
      settle: () => set((state) => ({ history: settle(state.history) })),
      undo: () => go(undo),
      redo: () => go(redo),
      select: (selected) => set((state) => (state.selected === selected ? state : { selected })),
      point: (pointed) => set({ pointed }),
      show: (shown) => set({ shown, steps: null }),
      lookAtPiece: (piece) =>
        set(({ steps }) => ({ piece, pointed: null, steps: steps && { order: "", bend: null } })),
      showSteps: (steps) => set({ steps, work: false }),
      showWork: () => set({ steps: null, work: true }),
      restore: (document, baseVersion) =>
        set((state) => ({
          history: advance(state.history, document),
          baseVersion,
          saving: { state: "waiting" },
        })),
      setSaving: (saving) => set({ saving }),
      setKept: (kept) => set({ kept }),
      saved: (document, version) =>
        set((state) => ({
          baseVersion: version,
          saving: { state: state.history.present === document ? "saved" : "waiting" },
        })),
      // What was here can be undone to.
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
