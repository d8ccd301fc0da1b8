// The sheet of a framed wall: it with all of its lists, to print.
import { useParams } from "react-router";
import { client } from "@/api/client";
import { DocumentSheet } from "./DocumentSheet";
import { PAPERS } from "./PaperSheet";

export default function WallSheetScreen() {
  const wallId = Number(useParams().wallId);
  return (
    <DocumentSheet
      of={{ kind: "wall", id: String(wallId) }}
      papers={PAPERS}
      first="a4"
      ask={(paper, page) =>
        client.GET("/api/walls/{wall_id}/sheet.svg", {
          params: { path: { wall_id: wallId }, query: { paper, page } },
          parseAs: "text",
        })
      }
      href={(format) => `/api/walls/${wallId}/sheet.${format}`}
      back={{ to: `/walls/${wallId}`, label: "Back to the wall" }}
    />
  );
}
