// How saving stands, always in sight.
import { usePlanner } from "./PlannerContext";

export function SavingState() {
  const saving = usePlanner((state) => state.saving);
  const words = {
    saved: { text: "Saved", colour: "text-moss" },
    waiting: { text: "Not saved yet", colour: "text-soft" },
    saving: { text: "Saving", colour: "text-soft" },
    unreadable: { text: "Kept here; saved when every line can be read", colour: "text-amber" },
    offline: { text: "No connection; kept on this machine", colour: "text-amber" },
    refused: { text: saving.state === "refused" ? saving.message : "", colour: "text-brick" },
    conflict: { text: "Changed by someone else", colour: "text-brick" },
  }[saving.state];
  return (
    <span role="status" aria-live="polite" className={`truncate px-1 text-sm ${words.colour}`}>
      {words.text}
    </span>
  );
}
