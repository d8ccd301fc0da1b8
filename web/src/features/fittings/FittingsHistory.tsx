// The way back to an earlier list of the crew's fittings.
import { useState } from "react";
import type { Fittings } from "@/api/benders";
import type { Versions } from "@/api/history";
import { HistoryDialog } from "@/features/history/HistoryDialog";
import type { FittingsDocument } from "@/model/fittings";
import type { OpenDocument } from "@/model/savedDocuments";
import type { DocumentStore } from "@/model/savedStore";
import { Button } from "@/ui/Button";
import { say } from "@/words/say";

type Props = {
  each: OpenDocument<FittingsDocument, DocumentStore<FittingsDocument>>;
  versions: Versions<Fittings>;
};

export function FittingsHistory({ each, versions }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button weight="quiet" className="ml-auto text-sm" onClick={() => setOpen(true)}>
        {say("History")}
      </Button>
      <HistoryDialog
        each={each}
        versions={versions}
        taken={(detail) => detail}
        open={open}
        onOpenChange={setOpen}
      />
    </>
  );
}
