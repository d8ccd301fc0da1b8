// How an end of a threaded run is held while it is put up: a word that can be changed.
import { WordField } from "@/features/walk/fields";
import { setEnd } from "@/model/joints";
import { usePlanner } from "@/state/PlannerContext";
import { say } from "@/words/say";

const STATES = {
  fixed: "is fixed",
  "comes-off": say("comes off"),
  turns: say("turns"),
  loose: say("is loose"),
} as const;

export function EndHeld({ end }: { end: "start" | "end" }) {
  const held = usePlanner((state) => state.history.present.joints?.ends?.[end] ?? "fixed");
  const change = usePlanner((state) => state.change);
  return (
    <WordField
      label={end === "start" ? say("How the start is held") : say("How the end is held")}
      value={held}
      words={STATES}
      onChange={(state) => change(setEnd(end, state))}
    />
  );
}
