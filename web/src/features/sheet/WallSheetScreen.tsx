// The sheet of a framed wall: it with all of its lists, to print.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { client, unwrap } from "@/api/client";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { type Paper, PaperSheet, Unsaved } from "./PaperSheet";

export default function WallSheetScreen() {
  const wallId = Number(useParams().wallId);
  const [paper, setPaper] = useState<Paper>("a4");
  const sheet = useQuery({
    queryKey: ["sheet", "wall", wallId, paper],
    queryFn: () => pagesOf(wallId, paper),
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
      setPaper={setPaper}
      href={(format) => `/api/walls/${wallId}/sheet.${format}?paper=${paper}`}
      back={{ to: `/walls/${wallId}`, label: "Back to the wall" }}
      pages={sheet.data}
    >
      {drafts?.drafts.length ? <Unsaved /> : null}
    </PaperSheet>
  );
}

/** Every page of the sheet: the first says how many there are. */
async function pagesOf(wallId: number, paper: Paper): Promise<string[]> {
  const ask = (page: number) =>
    client.GET("/api/walls/{wall_id}/sheet.svg", {
      params: { path: { wall_id: wallId }, query: { paper, page } },
      parseAs: "text",
    });
  const first = await ask(1);
  const count = Number(first.response.headers.get("X-Pages"));
  const others = Array.from({ length: Math.max(count - 1, 0) }, (_, at) => unwrap(ask(at + 2)));
  return [await unwrap(Promise.resolve(first)), ...(await Promise.all(others))];
}
