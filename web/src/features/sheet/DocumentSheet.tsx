// The sheets of a document that takes several pages, to print.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { sheetPage } from "@/api/documents";
import type { LargePaper } from "@/documents/papers";
import { DOCUMENTS, type InJob } from "@/documents/registry";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import { PaperSheet, Unsaved } from "./PaperSheet";
import { everyPage } from "./pages";

export function DocumentSheet({ kind }: { kind: InJob }) {
  const id = Number(useParams().id);
  const { at, inJob, path } = DOCUMENTS[kind];
  const [paper, setPaper] = useState<LargePaper>(inJob.firstPaper);
  const sheet = useQuery({
    queryKey: ["sheet", kind, id, paper],
    queryFn: () => everyPage((page) => sheetPage(kind, id, paper, page)),
    gcTime: 0,
    placeholderData: (before) => before,
  });
  const unsaved = useDraftsOf(kind, String(id));
  if (sheet.isError) {
    return <CouldNotOpen error={sheet.error} again={() => void sheet.refetch()} />;
  }
  return (
    <PaperSheet
      paper={paper}
      papers={inJob.papers}
      setPaper={setPaper}
      href={(format) => `${at.replace(/\{\w+\}/, String(id))}/sheet.${format}?paper=${paper}`}
      back={{ to: path.replace(":id", String(id)), label: inJob.backLabel }}
      pages={sheet.data}
    >
      {unsaved?.drafts.length ? <Unsaved /> : null}
    </PaperSheet>
  );
}
