// What is asked about a document that is open: someone else's version, its history, what was left unsaved.

import type { Versions } from "@/api/history";
import { DraftsDialog } from "@/features/drafts/DraftsDialog";
import type { LeftUnsaved } from "@/model/draft";
import type { OpenDocument } from "@/model/savedDocuments";
import type { Theirs } from "@/model/saving";
import { tabName } from "@/model/tab";
import { ConflictDialog } from "@/ui/ConflictDialog";
import { HistoryDialog } from "./HistoryDialog";

type Props<D, Detail> = {
  each: OpenDocument<D>;
  versions: Versions<Detail>;
  history: boolean;
  showHistory: (open: boolean) => void;
  unsaved: LeftUnsaved;
};

export function DocumentDialogs<D, Detail extends Theirs<D>>(props: Props<D, Detail>) {
  const { each, versions, history, showHistory, unsaved } = props;
  return (
    <>
      <ConflictDialog each={each} />
      <HistoryDialog
        each={each}
        versions={versions}
        taken={(detail) => detail}
        open={history}
        onOpenChange={showHistory}
      />
      <DraftsDialog
        each={each}
        drafts={unsaved.drafts.filter(({ tab }) => tab !== tabName())}
        openTabs={unsaved.tabs}
      />
    </>
  );
}
