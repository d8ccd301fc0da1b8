// The bar of a document that a job has some of: its job and name, undo, its sheet, and what else is done
// with it.
import type { ReactNode } from "react";
import { useNavigate } from "react-router";
import { useStore } from "zustand";
import { putAway } from "@/api/history";
import { DOCUMENTS, type InJob } from "@/documents/registry";
import { AccountMenu } from "@/features/account/AccountMenu";
import { useRemoveDocument } from "@/features/history/useRemoveDocument";
import { type OpenDocument, saveNow } from "@/model/savedDocuments";
import { Button } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import type { Action } from "@/ui/Menu";
import { TopBar } from "@/ui/TopBar";
import { UndoButtons } from "@/ui/UndoButtons";
import { say } from "@/words/say";
import { DocumentTitle } from "./DocumentTitle";
import type { Opened } from "./useOpened";

type Props<D> = {
  kind: InJob;
  loaded: { readonly id: number; readonly job_id: number; readonly job_name: string };
  each: Opened<D>;
  name: string;
  onName: (name: string) => void;
  showHistory: () => void;
  /** The menu, with what every document has at its end. */
  menu: (last: readonly Action[]) => ReactNode;
};

export function DocumentBar<D>(props: Props<D>) {
  const { kind, loaded, each, name, onName, showHistory, menu } = props;
  const { inJob, path } = DOCUMENTS[kind];
  const saving = useStore(each.store, (state) => state.saving);
  const kept = useStore(each.store, (state) => state.kept);
  const one = each as OpenDocument<unknown> as OpenDocument;
  const navigate = useNavigate();
  const remove = useRemoveDocument(one, loaded.job_id, () => putAway(kind, loaded.id));
  const openSheet = async () => {
    // The sheet is of what is saved: what was typed last has to be on it.
    await saveNow(one);
    await navigate(`${path.replace(":id", String(loaded.id))}/sheet`);
  };
  return (
    <TopBar
      title={name}
      named
      actions={
        <>
          <UndoButtons store={each.store} />
          <Button weight="main" onClick={() => void openSheet()}>
            <Icon name="sheet" />
            <span className="max-desk:sr-only">{say("Sheet")}</span>
          </Button>
          {menu([
            { label: say("History"), run: showHistory },
            { label: inJob.removeLabel, run: () => void remove() },
          ])}
          <AccountMenu />
        </>
      }
    >
      <DocumentTitle
        job={{ id: loaded.job_id, name: loaded.job_name }}
        label={inJob.nameLabel}
        name={name}
        onName={onName}
        saving={saving}
        kept={kept}
      />
    </TopBar>
  );
}
