// How saving a document stands, always in sight.
import type { Saving } from "@/model/saving";

type Props = { saving: Saving<unknown>; kept: boolean };

export function SavingState({ saving, kept }: Props) {
  const { text, colour } = words(saving);
  const lost = !kept && saving.state !== "saved";
  return (
    <span
      role="status"
      aria-live="polite"
      data-saving={saving.state}
      title={lost ? FULL : text}
      className={`truncate px-1 text-sm ${lost ? "text-brick" : colour}`}
    >
      {lost ? FULL : text}
    </span>
  );
}

const FULL = "Not saved, and this browser has no room to keep it: leave the page open";

function words(saving: Saving<unknown>): { text: string; colour: string } {
  switch (saving.state) {
    case "saved":
      return { text: "Saved", colour: "text-moss" };
    case "waiting":
      return { text: "Not saved yet", colour: "text-soft" };
    case "saving":
      return { text: "Saving", colour: "text-soft" };
    case "unreadable":
      return { text: "Kept here; saved when every line can be read", colour: "text-amber" };
    case "offline":
      return { text: "No connection; kept on this machine", colour: "text-amber" };
    case "signed-out":
      return { text: "Signed out; kept on this machine", colour: "text-amber" };
    case "conflict":
      return { text: "Changed somewhere else", colour: "text-brick" };
    case "failed":
      return { text: saving.message, colour: "text-amber" };
    case "gone":
      return { text: `${saving.message} Kept on this machine.`, colour: "text-brick" };
    case "refused":
      return { text: saving.message, colour: "text-brick" };
  }
}
