// The planner's one place for state: the document with its history, what is pointed at, and how
// saving stands. Marks, shapes and findings are not here: they are derived from the document.
import { createStore } from "zustand/vanilla";
import type { RunDocument } from "./document";
import { type DocumentState, documentState } from "./savedStore";
import { isLike, readStored, writeStored } from "./stored";

/** The ways to show the shape. */
const WAYS = ["flat", "space", "both", "rack", "pieces", "wires"] as const;
export type Shown = (typeof WAYS)[number];

export type PlannerState = DocumentState<RunDocument> & {
  readonly runId: number;
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
  select(line: number | null): void;
  point(bend: number | null): void;
  show(shown: Shown): void;
  lookAtPiece(piece: number): void;
  showSteps(steps: PlannerState["steps"]): void;
  showWork(): void;
};

const SHOWN = "yarrow.shown";
const isShown = isLike({ run: 0, shown: "" });

/** How the shape of a run was shown, where it is the one that was looked at last. */
function shownLast(runId: number): Shown {
  const last = readStored(SHOWN, isShown);
  const known = WAYS.find((way) => way === last?.shown);
  return known && last?.run === runId ? known : "flat";
}

export type PlannerStore = ReturnType<typeof createPlannerStore>;

export function createPlannerStore(
  runId: number,
  document: RunDocument,
  baseVersion: number,
  unsaved: boolean,
) {
  return createStore<PlannerState>()((set, get) => ({
    ...documentState(document, baseVersion, unsaved, set, get),
    runId,
    selected: null,
    pointed: null,
    shown: shownLast(runId),
    piece: 0,
    steps: null,
    work: false,
    select: (selected) => set((state) => (state.selected === selected ? state : { selected })),
    point: (pointed) => set({ pointed }),
    show: (shown) => {
      writeStored(SHOWN, { run: runId, shown });
      set({ shown, steps: null });
    },
    lookAtPiece: (piece) =>
      set(({ steps }) => ({ piece, pointed: null, steps: steps && { order: "", bend: null } })),
    showSteps: (steps) => set({ steps, work: false }),
    showWork: () => set({ steps: null, work: true }),
  }));
}
