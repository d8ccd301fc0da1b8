// The sheet: the same drawing that the server puts into the PDF, shown and printed by the page.
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useParams } from "react-router";
import { client, unwrap } from "@/api/client";
import { keys, loadRun, partRun } from "@/api/queries";
import { useMemberName } from "@/features/drafts/useMemberName";
import { PiecePager } from "@/features/pieces/PiecePager";
import { draftsOf } from "@/model/drafts";
import { Button, ButtonLink } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { TopBar } from "@/ui/TopBar";

const PAPERS = [
  { value: "a4", label: "A4" },
  { value: "letter", label: "Letter" },
] as const;
type Paper = (typeof PAPERS)[number]["value"];

const WHATS = [
  { value: "run", label: "This pipe" },
  { value: "rack", label: "The rack" },
  { value: "wires", label: "The wires" },
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
      run.data ? partRun(run.data.document, run.data.job_rules, signal) : null,
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
    return <LoadingScreen what={sheet.error.message} retry={() => void sheet.refetch()} />;
  }
  return (
    <div className="flex min-h-full flex-col print:block">
      <div className="print:hidden">
        <TopBar
          actions={
            <>
              <SegmentedControl label="Paper" value={paper} options={PAPERS} onChange={setPaper} />
              <span className="max-desk:hidden">
                <Download
                  href={`/api/runs/${runId}/sheet.svg?paper=${paper}&of=${of}&piece=${piece}`}
                  name="SVG"
                />
              </span>
              <Download
                href={`/api/runs/${runId}/sheet.pdf?paper=${paper}&of=${of}&piece=${piece}`}
                name="PDF"
              />
              <Button weight="main" onClick={() => window.print()}>
                Print
              </Button>
            </>
          }
        >
          <h1 className="sr-only">Sheet</h1>
          <ButtonLink to={`/runs/${runId}`} weight="quiet">
            <Icon name="back" />
            <span className="max-desk:sr-only">Back to the run</span>
          </ButtonLink>
        </TopBar>
      </div>
      {whats.length > 1 ? (
        <section
          aria-label="What the sheet is of"
          className="flex justify-center border-b border-line bg-raised p-1.5 text-sm print:hidden"
        >
          <SegmentedControl label="Sheet of" value={of} options={whats} onChange={setOf} />
        </section>
      ) : null}
      {of === "run" && count > 1 ? (
        <section
          aria-label="Which piece"
          className="flex justify-center border-b border-line bg-raised text-sm print:hidden"
        >
          <PiecePager number={piece} count={count} look={setPiece} />
        </section>
      ) : null}
      {unsaved.data?.length ? (
        <p role="alert" className="border-l-3 border-amber bg-amber-soft px-4 py-2 print:hidden">
          This sheet is of the last saved version. Changes that could not be saved are not on it: go
          back to the run to see why.
        </p>
      ) : null}
      <main className="grid flex-1 justify-center overflow-auto p-4 print:block print:overflow-visible print:p-0">
        {sheet.data ? (
          <Drawn svg={sheet.data} paper={paper} />
        ) : (
          <p role="status">Drawing the sheet</p>
        )}
      </main>
    </div>
  );
}

function Download({ href, name }: { href: string; name: string }) {
  return (
    <a
      className="inline-flex min-h-9 items-center rounded-md border border-line bg-paper px-3 font-medium hover:border-strong-line pointer-coarse:min-h-11"
      href={href}
    >
      {name}
    </a>
  );
}

/** The server's SVG as part of the page, so that it is set in the page's own font. */
function Drawn({ svg, paper }: { svg: string; paper: Paper }) {
  const holder = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const parsed = new DOMParser().parseFromString(svg, "image/svg+xml").documentElement;
    holder.current?.replaceChildren(document.importNode(parsed, true));
  }, [svg]);
  return (
    <div
      ref={holder}
      data-sheet
      data-paper={paper}
      className="w-full max-w-[210mm] bg-[white] shadow-lift print:max-w-none print:shadow-none not-print:[&>svg]:h-auto not-print:[&>svg]:w-full"
    />
  );
}
