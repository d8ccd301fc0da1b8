// Ducts between buildings: the plan that fills the window, and beside it what is drawn, what it comes
// to, and the stretch under the finger.
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { useStore } from "zustand";
import { removeSite, siteVersions } from "@/api/history";
import { keys, useSession } from "@/api/queries";
import { addPicture, type JobSite, loadSite, readGeoJson, readSiteDxf } from "@/api/sites";
import { SiteDrawing, type SiteTool } from "@/drawing/site/SiteDrawing";
import { AccountMenu } from "@/features/account/AccountMenu";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import { DocumentDialogs } from "@/features/history/DocumentDialogs";
import { usePutAway } from "@/features/history/usePutAway";
import type { Draft } from "@/model/drafts";
import { type OpenDocument, saveNow } from "@/model/savedDocuments";
import { addPlace, addTrench, layUnder, type PlanPoint, same, setSite } from "@/model/sites";
import { Button, IconButton } from "@/ui/Button";
import { FileField } from "@/ui/FileField";
import { Icon } from "@/ui/Icon";
import { InlineInput } from "@/ui/InlineInput";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { Menu } from "@/ui/Menu";
import { SavingState } from "@/ui/SavingState";
import { ScrollArea } from "@/ui/ScrollArea";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { TopBar } from "@/ui/TopBar";
import { UndoButtons } from "@/ui/UndoButtons";
import { SiteAnswers } from "./SiteAnswers";
import { SiteCables } from "./SiteCables";
import { SitePicture } from "./SitePicture";
import { SitePlaces } from "./SitePlaces";
import { SiteTrenches } from "./SiteTrenches";
import { StretchPane } from "./StretchPane";
import { useSite } from "./useSite";

const TOOLS: readonly { value: SiteTool; label: string }[] = [
  { value: "look", label: "Look" },
  { value: "trench", label: "Trench" },
  { value: "hand-hole", label: "Hand hole" },
  { value: "building", label: "Building" },
];
type Beside = "answers" | "drawn" | "stretch";

export default function SiteScreen() {
  const siteId = Number(useParams().siteId);
  const site = useQuery({
    queryKey: keys.site(siteId),
    queryFn: () => loadSite(siteId),
    // The screen holds the site from here on; opening it again asks again.
    gcTime: 0,
    staleTime: Infinity,
  });
  const drafts = useDraftsOf("site", String(siteId));
  if (site.isError) {
    return <LoadingScreen what={site.error.message} retry={() => void site.refetch()} />;
  }
  if (site.isPending || !drafts) {
    return <LoadingScreen what="Opening the ducts" />;
  }
  return <Opened site={site.data} drafts={drafts.drafts} tabs={drafts.tabs} />;
}

type Props = { site: JobSite; drafts: readonly Draft[]; tabs: ReadonlySet<string> };

function Opened({ site, drafts, tabs }: Props) {
  const { each, document, editing, answer, old, current, problems, refusal } = useSite(
    site,
    drafts,
  );
  const { change } = editing;
  const member = useSession().data?.member?.name ?? "";
  const saving = useStore(each.store, (state) => state.saving);
  const kept = useStore(each.store, (state) => state.kept);
  const [history, setHistory] = useState(false);
  const [trouble, setTrouble] = useState("");
  const [tool, setTool] = useState<SiteTool>("look");
  const [drawn, setDrawn] = useState<readonly PlanPoint[]>([]);
  const [chosen, setChosen] = useState<string | null>(null);
  const collection = useRef<HTMLInputElement>(null);
  const drawing = useRef<HTMLInputElement>(null);
  const picture = useRef<HTMLInputElement>(null);
  const [beside, setBeside] = useState<Beside>("answers");
  const navigate = useNavigate();
  const openSheet = async () => {
    // The sheet is of what is saved: what was drawn last has to be on it.
    await saveNow(each as OpenDocument);
    await navigate(`/sites/${site.id}/sheet`);
  };
  const remove = usePutAway(each as OpenDocument, site.job_id, () => removeSite(site.id));
  const stretch = answer?.stretches.find(({ name }) => name === chosen) ?? null;
  const most = document.rules?.most_degrees ?? answer?.schools[0]?.most_degrees ?? 1;

  const finish = () => {
    if (drawn.length > 1) {
      change(addTrench(drawn));
    }
    setDrawn([]);
  };
  const put = (at: PlanPoint) => {
    if (tool === "trench") {
      const last = drawn.at(-1);
      if (last && same(last, at)) {
        finish();
      } else {
        setDrawn([...drawn, at]);
      }
    } else if (tool !== "look") {
      change(addPlace(tool, at));
      setTool("look");
    }
  };
  const take = (next: SiteTool) => {
    finish();
    setTool(next);
  };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLElement && event.target.closest("input, [role=dialog]")) {
        return;
      }
      if (event.key === "Enter" && drawn.length > 0) {
        finish();
      } else if (event.key === "Escape") {
        setDrawn([]);
        setTool("look");
      } else if (event.key === "Backspace" && drawn.length > 0) {
        setDrawn(drawn.slice(0, -1));
      } else {
        return;
      }
      event.preventDefault();
    };
    addEventListener("keydown", press);
    return () => removeEventListener("keydown", press);
  });
  const told = async (work: () => Promise<void>) => {
    setTrouble("");
    try {
      await work();
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : "That did not work.");
    }
  };
  const bringIn = (file: File) =>
    told(async () => {
      const text = await file.text();
      const read = /\.dxf$/i.test(file.name)
        ? await readSiteDxf(text)
        : await readGeoJson(JSON.parse(text) as Record<string, unknown>);
      change(() => read);
    });
  const layLines = (file: File) =>
    told(async () => change(layUnder(await readSiteDxf(await file.text()))));
  const lay = (file: File) =>
    told(async () => {
      const { key, width, height } = await addPicture(site.id, file);
      const across = document.plan ?? { from: [0, height], to: [width, height], apart: 100 };
      change(setSite({ plan: { ...across, picture: key } }));
      setBeside("drawn");
    });
  return (
    <div className="flex h-full flex-col">
      <TopBar
        actions={
          <>
            <UndoButtons store={each.store} />
            <Button weight="main" onClick={() => void openSheet()}>
              <Icon name="sheet" />
              <span className="max-desk:sr-only">Sheet</span>
            </Button>
            <Menu
              trigger={
                <IconButton label="More">
                  <Icon name="more" />
                </IconButton>
              }
              actions={[
                {
                  label: "Amounts as a table",
                  run: () => window.location.assign(`/api/sites/${site.id}/quantities.csv`),
                },
                {
                  label: "Export as GeoJSON",
                  hint: "in metres of the plan",
                  run: () => window.location.assign(`/api/sites/${site.id}/plan.geojson`),
                },
                {
                  label: "Export as DXF",
                  hint: "in metres",
                  run: () => window.location.assign(`/api/sites/${site.id}/plan.dxf`),
                },
                { label: "Import GeoJSON or DXF", run: () => collection.current?.click() },
                {
                  label: "A drawing under the plan",
                  hint: "the lines of a DXF",
                  run: () => drawing.current?.click(),
                },
                {
                  label: "A picture under the plan",
                  hint: "PNG or JPEG",
                  run: () => picture.current?.click(),
                },
                { label: "History", run: () => setHistory(true) },
                { label: "Remove these ducts", run: () => void remove() },
              ]}
            />
            <AccountMenu />
          </>
        }
      >
        <Link
          to={`/jobs/${site.job_id}`}
          className="truncate text-soft hover:text-ink max-desk:hidden"
        >
          {site.job_name}
        </Link>
        <span className="text-soft max-desk:hidden">/</span>
        <div className="flex min-w-0 flex-1 gap-x-3 max-desk:flex-col desk:items-center">
          <h1 className="text-lg">
            <InlineInput
              label="Name of the ducts"
              data-path="name"
              value={document.name ?? ""}
              onType={(name) => change(setSite({ name }))}
            />
          </h1>
          <SavingState saving={saving} kept={kept} />
        </div>
      </TopBar>
      <main
        onBlur={each.store.getState().settle}
        className="relative grid min-h-0 flex-1 overflow-hidden grid-rows-[minmax(0,1fr)_minmax(0,1fr)] desk:grid-cols-[minmax(0,1fr)_24rem] desk:grid-rows-1"
        data-site-plan
        data-current={current}
      >
        <div className="relative min-h-0 min-w-0 border-line max-desk:border-b desk:border-r">
          <SiteDrawing
            siteId={site.id}
            document={document}
            plan={answer}
            change={change}
            tool={tool}
            drawn={drawn}
            put={put}
            chosen={stretch?.number ?? null}
            choose={(number) => {
              setChosen(answer?.stretches.find((one) => one.number === number)?.name ?? null);
              setBeside(number === null ? "answers" : "stretch");
            }}
          />
          <div className="absolute top-3 left-3 grid justify-items-start gap-2">
            <SegmentedControl label="What is drawn" value={tool} options={TOOLS} onChange={take} />
            {tool === "trench" ? (
              <p className="rounded-md border border-line bg-paper px-3 py-1.5 text-sm">
                {drawn.length === 0
                  ? "Tap point by point, along walks and verges."
                  : "Tap the last point again, or Enter, to end it."}
                {drawn.length > 1 ? (
                  <Button className="ml-2 px-2" onClick={finish}>
                    Done
                  </Button>
                ) : null}
              </p>
            ) : null}
            {tool === "hand-hole" || tool === "building" ? (
              <p className="rounded-md border border-line bg-paper px-3 py-1.5 text-sm">
                Tap where it is{tool === "building" ? ": where its ducts come in" : ""}.
              </p>
            ) : null}
          </div>
          {document.places.length === 0 && document.trenches.length === 0 && tool === "look" ? (
            <p className="absolute inset-x-0 top-1/2 px-8 text-center text-soft">
              Begin with the buildings, then draw the trenches between them, and say which cables go
              where.
            </p>
          ) : null}
        </div>
        <ScrollArea
          label="Beside the plan"
          className={`min-h-0 overflow-auto bg-paper p-4 desk:p-5 ${old ? "opacity-60" : ""}`}
        >
          <div className="pb-3">
            <SegmentedControl
              label="Beside the plan"
              value={beside}
              options={[
                { value: "answers", label: "What it comes to" },
                { value: "drawn", label: "What is drawn" },
                ...(stretch ? [{ value: "stretch" as const, label: stretch.name }] : []),
              ]}
              onChange={setBeside}
            />
          </div>
          {[...problems].map(([path, expected]) => (
            <p key={path} role="alert" className="pb-2 text-sm text-brick">
              {path}: expected {expected}
            </p>
          ))}
          {refusal || trouble ? (
            <p role="alert" className="pb-2 text-sm text-brick">
              {refusal || trouble}
            </p>
          ) : null}
          {beside === "drawn" ? (
            <div className="grid gap-5">
              <SitePlaces editing={editing} />
              <SiteTrenches editing={editing} />
              <SiteCables editing={editing} />
              <SitePicture editing={editing} />
            </div>
          ) : beside === "stretch" && stretch ? (
            <StretchPane stretch={stretch} editing={editing} most={most} member={member} />
          ) : answer ? (
            <SiteAnswers editing={editing} plan={answer} />
          ) : (
            <p className="text-soft">Planning the ducts …</p>
          )}
        </ScrollArea>
        <FileField
          field={collection}
          label="GeoJSON or DXF file"
          accept=".geojson,.json,.dxf"
          onFile={(file) => void bringIn(file)}
        />
        <FileField
          field={drawing}
          label="Drawing under the plan"
          accept=".dxf"
          onFile={(file) => void layLines(file)}
        />
        <FileField
          field={picture}
          label="Picture under the plan"
          accept="image/png,image/jpeg"
          onFile={(file) => void lay(file)}
        />
      </main>
      <DocumentDialogs
        each={each}
        versions={siteVersions(site.id)}
        history={history}
        showHistory={setHistory}
        drafts={drafts}
        tabs={tabs}
      />
    </div>
  );
}
