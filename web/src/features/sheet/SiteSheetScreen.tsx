// The sheets of ducts between buildings: the plan and the duct schedule, to print.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { client } from "@/api/client";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { LARGE_PAPERS, type LargePaper, PaperSheet, Unsaved } from "./PaperSheet";
import { everyPage } from "./pages";

export default function SiteSheetScreen() {
  const siteId = Number(useParams().siteId);
  const [paper, setPaper] = useState<LargePaper>("a3");
  const sheet = useQuery({
    queryKey: ["sheet", "site", siteId, paper],
    queryFn: () =>
      everyPage((page) =>
        client.GET("/api/sites/{site_id}/sheet.svg", {
          params: { path: { site_id: siteId }, query: { paper, page } },
          parseAs: "text",
        }),
      ),
    gcTime: 0,
    placeholderData: (before) => before,
  });
  const drafts = useDraftsOf("site", String(siteId));
  if (sheet.isError) {
    return <LoadingScreen what={sheet.error.message} retry={() => void sheet.refetch()} />;
  }
  return (
    <PaperSheet
      paper={paper}
      papers={LARGE_PAPERS}
      setPaper={setPaper}
      href={(format) => `/api/sites/${siteId}/sheet.${format}?paper=${paper}`}
      back={{ to: `/sites/${siteId}`, label: "Back to the ducts" }}
      pages={sheet.data}
    >
      {drafts?.drafts.length ? <Unsaved /> : null}
    </PaperSheet>
  );
}
