// Someone else saved meanwhile: both documents side by side, and the choice between them.
import { useStore } from "zustand";
import { drop, type OpenDocument } from "@/model/savedDocuments";
import { say } from "@/words/say";
import { Button } from "./Button";
import { Dialog } from "./Dialog";
import { Differences } from "./Differences";

export function ConflictDialog<D>({ each }: { each: OpenDocument<D> }) {
  const saving = useStore(each.store, (state) => state.saving);
  const mine = useStore(each.store, (state) => state.current());
  if (saving.state !== "conflict") {
    return null;
  }
  const { theirs, message } = saving;
  const { takeTheirs, keepMine } = each.store.getState();
  return (
    <Dialog
      title={say("Changed somewhere else")}
      description={say("{message} Nothing of either is lost: choose which one goes on.", {
        message,
      })}
      open
    >
      <Differences mine={mine} theirs={theirs.document} names={[say("Yours"), say("Saved")]} />
      <div className="flex flex-wrap justify-end gap-2">
        <Button
          onClick={() => {
            takeTheirs(theirs);
            void drop(each as OpenDocument);
          }}
        >
          {say("Take the saved one")}
        </Button>
        <Button weight="main" onClick={() => keepMine(theirs.version)}>
          {say("Keep mine as the next version")}
        </Button>
      </div>
    </Dialog>
  );
}
