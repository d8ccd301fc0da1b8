// Whether the server is there, and what waits for it: beside the person's name on every screen.
import { useState } from "react";
import { useAway } from "@/api/reaching";
import { Button } from "@/ui/Button";
import { say, sayOf } from "@/words/say";
import { PocketDialog } from "./PocketDialog";
import { useHome, useWaiting } from "./usePocket";

export default function PocketChip() {
  useHome();
  const away = useAway();
  const waiting = useWaiting();
  const [open, setOpen] = useState(false);
  const count = waiting.length;
  const wait = `${count} ${sayOf(count, "waits", "wait")}`;
  const text = away ? [say("No connection"), ...(count ? [wait] : [])].join(" · ") : wait;
  return (
    <span role="status" data-pocket={away ? "away" : count ? "waiting" : "home"}>
      {away || count > 0 ? (
        <Button weight="quiet" onClick={() => setOpen(true)}>
          <span className="font-semibold text-amber">{text}</span>
        </Button>
      ) : null}
      <PocketDialog open={open} onOpenChange={setOpen} />
    </span>
  );
}
