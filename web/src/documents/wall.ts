// A framed wall.
import type { KindInJob } from "./kind";
import { PAPERS } from "./papers";

export const wall = {
  at: "/api/walls/{wall_id}",
  called: "the wall",
  removed: { list: "walls", title: "Walls" },
  path: "/walls/:id",
  inJob: {
    title: "Framed walls",
    another: "New wall",
    nameLabel: "Name of the wall",
    removeLabel: "Remove this wall",
    backLabel: "Back to the wall",
    papers: PAPERS,
    firstPaper: "a4",
  },
} as const satisfies KindInJob;
