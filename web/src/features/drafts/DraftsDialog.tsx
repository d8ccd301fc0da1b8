// What was left unsaved of this very thing, in other tabs or before: taken up, compared, let go.
import { useState } from "react";
import { useStore } from "zustand";
import type { Draft } from "@/model/draft";
import { draftKey, dropDraft } from "@/model/drafts";
import type { OpenDocument } from "@/model/savedDocuments";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { Differences } from "@/ui/Differences";
import { downloadJson } from "@/ui/downloadJson";
import { moment } from "@/ui/moment";
import { say } from "@/words/say";

type Props<D> = {
  readonly each: OpenDocument<D>;
  readonly drafts: readonly Draft[];
  readonly openTabs: ReadonlySet<string>;
  /** Puts a draft on the screen; left out: as the store does. */
  readonly restore?: (draft: Draft) => void;
  /** Why a draft can't be put on the screen; empty where it can, as it is where nothing is said. */
  readonly problem?: (document: unknown) => string;
};

export function DraftsDialog<D>(props: Props<D>) {
  const { each, drafts, openTabs, restore = takenBy(each), problem = noProblem } = props;
  const [left, setLeft] = useState(drafts);
  const [open, setOpen] = useState(drafts.length > 0);
  const [compared, setCompared] = useState("");
  const current = useStore(each.store, (state) => state.current());
  const gone = (draft: Draft) => {
    const others = left.filter((other) => other !== draft);
    setLeft(others);
    setOpen(others.length > 0);
  };
  const discard = async (draft: Draft) => {
    await dropDraft(draftKey(draft));
    gone(draft);
  };
  const takeUp = async (draft: Draft) => {
    restore(draft);
    await dropDraft(draftKey(draft));
    setOpen(false);
  };
  return (
    <Dialog
      title={say("Unsaved changes")}
      description={say(
        "These were typed here and never reached the server. Nothing is lost until you discard it.",
      )}
      open={open}
      onOpenChange={setOpen}
    >
      <ul className="grid gap-4">
        {left.map((draft) => {
          const key = draftKey(draft);
          const why = problem(draft.document);
          const elsewhere = openTabs.has(draft.tab);
          return (
            <li key={key} className="grid gap-2 border-t border-line pt-3">
              <p>
                <span className="font-semibold">{moment(draft.changed)}</span>
                <span className="text-soft">
                  {say(", made from version {baseVersion}", { baseVersion: draft.baseVersion })}
                  {elsewhere ? say("; still open in another tab") : ""}
                </span>
              </p>
              {why ? (
                <p className="text-brick">{say("It can't be shown: {why}.", { why })}</p>
              ) : null}
              {compared === key ? (
                <Differences
                  mine={draft.document}
                  theirs={current}
                  names={[say("Unsaved"), say("As it is here")]}
                />
              ) : null}
              <div className="flex flex-wrap justify-end gap-2">
                {why ? null : (
                  <Button onClick={() => setCompared(compared === key ? "" : key)}>
                    {compared === key ? say("Hide") : say("Compare")}
                  </Button>
                )}
                {why ? (
                  <Button onClick={() => downloadJson(draft.document, `${draft.title}.draft`)}>
                    {say("Download")}
                  </Button>
                ) : null}
                {elsewhere ? null : (
                  <Button onClick={() => void discard(draft)}>{say("Discard")}</Button>
                )}
                {why ? null : (
                  <Button weight="main" onClick={() => void takeUp(draft)}>
                    {say("Restore")}
                  </Button>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </Dialog>
  );
}

function takenBy<D>({ store }: OpenDocument<D>) {
  return ({ document, baseVersion }: Draft) => store.getState().restore(document as D, baseVersion);
}

function noProblem(): string {
  return "";
}
