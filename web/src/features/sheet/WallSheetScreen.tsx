// The sheet of a framed wall: it with all of its lists, to print.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { client } from "@/api/client";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { PAPERS, type Paper, PaperSheet, Unsaved } from "./PaperSheet";
import { everyPage } from "./pages";

export default function WallSheetScreen() {
  const wallId = Number(useParams().wallId);
  const [paper, setPaper] = useState<Paper>("a4");
  const sheet = useQuery({
    queryKey: ["sheet", "wall", wallId, paper],
    queryFn: () =>
      everyPage((page) =>
        client.GET("/api/walls/{wall_id}/sheet.svg", {
          params: { path: { wall_id: wallId }, query: { paper, page } },
          parseAs: "text",
        }),
      ),
    gcTime: 0,
    placeholderData: (before) => before,
  });
  const drafts = useDraftsOf("wall", String(wallId));
  if (sheet.isError) {
    return <LoadingScreen what={sheet.error.message} retry={() => void sheet.refetch()} />;
  }
  return (
    <PaperSheet
      paper={paper}
      papers={PAPERS}
      setPaper={setPaper}
      href={(format) => `/api/walls/${wallId}/sheet.${format}?paper=${paper}`}
      back={{ to: `/walls/${wallId}`, label: "Back to the wall" }}
      pages={sheet.data}
    >
      {drafts?.drafts.length ? <Unsaved /> : null}
    </PaperSheet>
  );
}
