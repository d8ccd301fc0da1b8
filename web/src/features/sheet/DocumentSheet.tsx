// The sheets of a document that takes several pages, to print.

import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import type { Target } from "@/model/draft";
import { type LargePaper, PaperSheet, Unsaved } from "./PaperSheet";
import { type AskedPage, everyPage } from "./pages";

type Props<P extends LargePaper> = {
  of: Pick<Target, "kind" | "id">;
  papers: readonly { value: P; label: string }[];
  first: P;
  ask: (paper: P, page: number) => Promise<AskedPage>;
  href: (format: string) => string;
  back: { to: string; label: string };
};

export function DocumentSheet<P extends LargePaper>({
  of,
  papers,
  first,
  ask,
  href,
  back,
}: Props<P>) {
  const [paper, setPaper] = useState<P>(first);
  const sheet = useQuery({
    queryKey: ["sheet", of.kind, of.id, paper],
    queryFn: () => everyPage((page) => ask(paper, page)),
    gcTime: 0,
    placeholderData: (before) => before,
  });
  const unsaved = useDraftsOf(of.kind, of.id);
  if (sheet.isError) {
    return <CouldNotOpen error={sheet.error} again={() => void sheet.refetch()} />;
  }
  return (
    <PaperSheet
      paper={paper}
      papers={papers}
      setPaper={setPaper}
      href={(format) => `${href(format)}?paper=${paper}`}
      back={back}
      pages={sheet.data}
    >
      {unsaved?.drafts.length ? <Unsaved /> : null}
    </PaperSheet>
  );
}
