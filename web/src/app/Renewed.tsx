// The server has a newer page than this one. Nothing is taken from under anybody's hands: what is
// open goes on, is saved, and the newer page comes when it is asked for.
import { useState } from "react";
import { useRenewed } from "@/api/renewed";
import { saveAll } from "@/model/savedDocuments";
import { Button } from "@/ui/Button";
import { say } from "@/words/say";

export function Renewed() {
  const renewed = useRenewed();
  const [later, setLater] = useState(false);
  if (!renewed || later) {
    return null;
  }
  const load = async () => {
    await saveAll(); // what could not be saved stays on this machine as a draft
    window.location.reload();
  };
  return (
    <div
      role="status"
      className="fixed inset-x-3 bottom-3 z-40 mx-auto flex max-w-xl flex-wrap items-center gap-2 rounded-lg border border-strong-line bg-paper px-4 py-3 shadow-lift"
    >
      <p className="min-w-52 flex-1">
        {say("Yarrow was renewed. What you do here is still saved.")}
      </p>
      <Button onClick={() => setLater(true)}>{say("Later")}</Button>
      <Button weight="main" onClick={() => void load()}>
        {say("Load the new one")}
      </Button>
    </div>
  );
}
