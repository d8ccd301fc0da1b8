// The sheet: the same drawing that the server puts into the PDF, shown and printed by the page.

import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { client, unwrap } from "@/api/client";
import { partRun } from "@/api/planning";
import { keys, loadRun } from "@/api/queries";
import { PAPERS, type Paper } from "@/documents/papers";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { useMemberName } from "@/features/drafts/useMemberName";
import { PiecePager } from "@/features/pieces/PiecePager";
import { draftsOf } from "@/model/drafts";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";
import { PaperSheet, Unsaved } from "./PaperSheet";

const WHATS = [
  { value: "run", label: say("This pipe") },
  { value: "rack", label: say("The rack") },
  { value: "wires", label: say("The wires") },
] as const;
type What = (typeof WHATS)[number]["value"];

export default function SheetScreen() {
  const runId = Number(useParams().runId);
  const [paper, setPaper] = useState<Paper>("a4");
  const [of, setOf] = useState<What>("run");
  const [piece, setPiece] = useState(1);
  const run = useQuery({ queryKey: keys.run(runId), queryFn: () => loadRun(runId) });
  const parted = useQuery({
    queryKey: ["pieces of", runId, run.data?.version],
    queryFn: ({ signal }) =>
      run.data ? partRun(run.data.document, run.data.job_language, signal) : null,
    enabled: run.data?.document.joints !== undefined,
  });
  const count = parted.data?.pieces.length ?? 0;
  const member = useMemberName();
  const unsaved = useQuery({
    queryKey: ["unsaved", member, runId],
    queryFn: () => draftsOf(member, { kind: "run", id: String(runId) }).catch(() => []),
    gcTime: 0,
  });
  const sheet = useQuery({
    queryKey: ["sheet", runId, paper, of, piece],
    queryFn: () =>
      unwrap(
        client.GET("/api/runs/{run_id}/sheet.svg", {
          params: { path: { run_id: runId }, query: { paper, of, piece } },
          parseAs: "text",
        }),
      ),
    gcTime: 0,
    placeholderData: (before) => before,
  });
  const has = run.data?.document;
  const whats = WHATS.filter(({ value }) => value === "run" || has?.[value]);
  if (sheet.isError) {
    return <CouldNotOpen error={sheet.error} again={() => void sheet.refetch()} />;
  }
  return (
    <PaperSheet
      paper={paper}
      papers={PAPERS}
      setPaper={setPaper}
      href={(format) => `/api/runs/${runId}/sheet.${format}?paper=${paper}&of=${of}&piece=${piece}`}
      back={{ to: `/runs/${runId}`, label: say("Back to the run") }}
      pages={sheet.data === undefined ? undefined : [sheet.data]}
    >
      {whats.length > 1 ? (
        <section
          aria-label={say("What the sheet is of")}
          className="flex justify-center border-b border-line bg-raised p-1.5 text-sm print:hidden"
        >
          <SegmentedControl label={say("Sheet of")} value={of} options={whats} onChange={setOf} />
        </section>
      ) : null}
      {of === "run" && count > 1 ? (
        <section
          aria-label={say("Which piece")}
          className="flex justify-center border-b border-line bg-raised text-sm print:hidden"
        >
          <PiecePager number={piece} count={count} look={setPiece} />
        </section>
      ) : null}
      {unsaved.data?.length ? <Unsaved /> : null}
    </PaperSheet>
  );
}
