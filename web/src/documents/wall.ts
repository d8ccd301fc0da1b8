// A framed wall.
import { say } from "@/words/say";
import type { KindInJob } from "./kind";
import { PAPERS } from "./papers";

export const wall = {
  at: "/api/walls/{wall_id}",
  called: say("the wall"),
  removed: { list: "walls", title: say("Walls") },
  path: "/walls/:id",
  inJob: {
    title: say("Framed walls"),
    another: say("New wall"),
    nameLabel: say("Name of the wall"),
    removeLabel: say("Remove this wall"),
    backLabel: say("Back to the wall"),
    papers: PAPERS,
    firstPaper: "a4",
  },
} as const satisfies KindInJob;
