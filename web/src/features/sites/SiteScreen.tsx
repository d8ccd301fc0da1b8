// Ducts between buildings: the plan that fills the window, and beside it what is drawn, what it comes
// to, and the stretch under the finger.
import { useCallback, useState } from "react";
import { useParams } from "react-router";
import { loadDocument } from "@/api/documents";
import { versionsOf } from "@/api/history";
import { keys, useSession } from "@/api/queries";
import type { JobSite } from "@/api/sites";
import { SiteDrawing } from "@/drawing/site/SiteDrawing";
import { DocumentBar } from "@/features/documents/DocumentBar";
import { DocumentLoader } from "@/features/documents/DocumentLoader";
import { DocumentDialogs } from "@/features/history/DocumentDialogs";
import type { LeftUnsaved } from "@/model/draft";
import { setSite } from "@/model/sites";
import { FieldProblems } from "@/ui/FieldProblems";
import { ScrollArea } from "@/ui/ScrollArea";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";
import { DrawingTools } from "./DrawingTools";
import { SiteAnswers } from "./SiteAnswers";
import { SiteCables } from "./SiteCables";
import { SiteUnits } from "./SiteField";
import { SiteMenu } from "./SiteMenu";
import { SitePicture } from "./SitePicture";
import { SitePlaces } from "./SitePlaces";
import { SiteTrenches } from "./SiteTrenches";
import { StretchPane } from "./StretchPane";
import { useDrawing } from "./useDrawing";
import { useSite } from "./useSite";

type Pane = "answers" | "drawn" | "stretch";

export default function SiteScreen() {
  const siteId = Number(useParams().id);
  return (
    <DocumentLoader
      of={{ kind: "site", id: String(siteId) }}
      queryKey={keys.document("site", siteId)}
      load={() => loadDocument("site", siteId)}
    >
      {(site, unsaved) => <Opened site={site} unsaved={unsaved} />}
    </DocumentLoader>
  );
}

type Props = { site: JobSite; unsaved: LeftUnsaved };

function Opened({ site, unsaved }: Props) {
  const { each, document, editing, answer, old, current, problems, refusal } = useSite(
    site,
    unsaved.drafts,
  );
  const { change } = editing;
  const member = useSession().data?.member?.name ?? "";
  const [history, setHistory] = useState(false);
  const [trouble, setTrouble] = useState("");
  const [chosen, setChosen] = useState<string | null>(null);
  const [pane, setPane] = useState<Pane>("answers");
  const drawing = useDrawing(change);
  const choose = useCallback((name: string | null) => {
    setChosen(name);
    setPane(name === null ? "answers" : "stretch");
  }, []);
  const stretch = answer?.stretches.find(({ name }) => name === chosen) ?? null;
  const most = document.rules?.most_degrees ?? answer?.schools[0]?.most_degrees ?? 1;
  const nothing = document.places.length === 0 && document.trenches.length === 0;
  return (
    <SiteUnits value={document.units}>
      <div className="flex h-full flex-col">
        <DocumentBar
          kind="site"
          loaded={site}
          each={each}
          name={document.name ?? ""}
          onName={(name) => change(setSite({ name }))}
          showHistory={() => setHistory(true)}
          menu={(last) => (
            <SiteMenu siteId={site.id} editing={editing} trouble={setTrouble} last={last} />
          )}
        />
        <main
          onBlur={each.store.getState().settle}
          className="relative grid min-h-0 flex-1 grid-rows-[minmax(0,1fr)_minmax(0,1fr)] overflow-hidden desk:grid-cols-[minmax(0,1fr)_24rem] desk:grid-rows-1"
          data-site-plan
          data-current={current}
        >
          <div className="relative min-h-0 min-w-0 border-line max-desk:border-b desk:border-r">
            <SiteDrawing
              siteId={site.id}
              document={document}
              plan={answer}
              change={change}
              tool={drawing.tool}
              drawn={drawing.drawn}
              put={drawing.put}
              chosen={stretch?.number ?? null}
              choose={choose}
            />
            <DrawingTools drawing={drawing} />
            {nothing && drawing.tool === "look" ? (
              <p className="absolute inset-x-0 top-1/2 px-8 text-center text-soft">
                {say(
                  "Begin with the buildings, then draw the trenches between them, and say which cables go where.",
                )}
              </p>
            ) : null}
          </div>
          <ScrollArea
            label={say("Beside the plan")}
            className={`min-h-0 overflow-auto bg-paper p-4 desk:p-5 ${old ? "opacity-60" : ""}`}
          >
            <div className="pb-3">
              <SegmentedControl
                label={say("Beside the plan")}
                value={pane}
                options={[
                  { value: "answers", label: say("What it comes to") },
                  { value: "drawn", label: say("What is drawn") },
                  ...(stretch ? [{ value: "stretch" as const, label: stretch.name }] : []),
                ]}
                onChange={setPane}
              />
            </div>
            <FieldProblems problems={problems} document={document} />
            {refusal || trouble ? (
              <p role="alert" className="pb-2 text-sm text-brick">
                {refusal || trouble}
              </p>
            ) : null}
            {pane === "drawn" ? (
              <div className="grid gap-5">
                <SitePlaces editing={editing} />
                <SiteTrenches editing={editing} />
                <SiteCables editing={editing} />
                <SitePicture editing={editing} measure={() => drawing.take("measure")} />
              </div>
            ) : pane === "stretch" && answer && stretch ? (
              <StretchPane
                plan={answer}
                stretch={stretch}
                editing={editing}
                most={most}
                member={member}
              />
            ) : answer ? (
              <SiteAnswers plan={answer} rules={document.rules} change={change} />
            ) : (
              <p className="text-soft">{say("Planning the ducts …")}</p>
            )}
          </ScrollArea>
        </main>
        <DocumentDialogs
          each={each}
          versions={versionsOf("site", site.id)}
          history={history}
          showHistory={setHistory}
          unsaved={unsaved}
        />
      </div>
    </SiteUnits>
  );
}
