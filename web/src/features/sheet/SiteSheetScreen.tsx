// The sheets of ducts between buildings: the plan and the duct schedule, to print.
import { useParams } from "react-router";
import { client } from "@/api/client";
import { DocumentSheet } from "./DocumentSheet";
import { LARGE_PAPERS } from "./PaperSheet";

export default function SiteSheetScreen() {
  const siteId = Number(useParams().siteId);
  return (
    <DocumentSheet
      of={{ kind: "site", id: String(siteId) }}
      papers={LARGE_PAPERS}
      first="a3"
      ask={(paper, page) =>
        client.GET("/api/sites/{site_id}/sheet.svg", {
          params: { path: { site_id: siteId }, query: { paper, page } },
          parseAs: "text",
        })
      }
      href={(format) => `/api/sites/${siteId}/sheet.${format}`}
      back={{ to: `/sites/${siteId}`, label: "Back to the ducts" }}
    />
  );
}
