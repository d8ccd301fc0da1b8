// How saving a document stands, always in sight.
import type { Saving } from "@/model/saving";
import { say } from "@/words/say";

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

const FULL = say("Not saved, and this browser has no room to keep it: leave the page open");

function words(saving: Saving<unknown>): { text: string; colour: string } {
  switch (saving.state) {
    case "saved":
      return { text: say("Saved"), colour: "text-moss" };
    case "waiting":
      return { text: say("Not saved yet"), colour: "text-soft" };
    case "saving":
      return { text: say("Saving"), colour: "text-soft" };
    case "unreadable":
      return { text: say("Kept here; saved when every line can be read"), colour: "text-amber" };
    case "offline":
      return { text: say("No connection; kept on this machine"), colour: "text-amber" };
    case "signed-out":
      return { text: say("Signed out; kept on this machine"), colour: "text-amber" };
    case "conflict":
      return { text: say("Changed somewhere else"), colour: "text-brick" };
    case "failed":
      return { text: saving.message, colour: "text-amber" };
    case "gone":
      return {
        text: say("{message} Kept on this machine.", { message: saving.message }),
        colour: "text-brick",
      };
    case "refused":
      return { text: saving.message, colour: "text-brick" };
  }
}
