// A job's cut list and its stock: what every piece is cut from, conduit by conduit, and the
// offcuts that lie there, before and after.
import { useState } from "react";
import { useParams } from "react-router";
import { versionsOf } from "@/api/history";
import { keys } from "@/api/queries";
import { cutNow, type JobStock, loadStock } from "@/api/stock";
import { DocumentLoader } from "@/features/documents/DocumentLoader";
import { DocumentDialogs } from "@/features/history/DocumentDialogs";
import { WorkRows } from "@/features/longWork/WorkRows";
import type { LeftUnsaved } from "@/model/draft";
import { saveNow } from "@/model/savedDocuments";
import { outcome } from "@/model/saving";
import { cutWith } from "@/model/stock";
import { Button } from "@/ui/Button";
import { ProgressBar } from "@/ui/ProgressBar";
import { Select } from "@/ui/Select";
import { say, sayOf } from "@/words/say";
import { CutConduit } from "./CutConduit";
import { CutsBar } from "./CutsBar";
import { Materials } from "./Materials";
import { useLongLook } from "./useLongLook";
import { LOOK_S, type OpenStock, useStock } from "./useStock";

const SAWS = [
  { value: "saw", label: say("a saw") },
  { value: "wheel", label: say("a wheel cutter") },
] as const;

export default function CutsScreen() {
  const jobId = Number(useParams().jobId);
  return (
    <DocumentLoader
      of={{ kind: "stock", id: String(jobId) }}
      queryKey={keys.stock(jobId)}
      load={() => loadStock(jobId)}
    >
      {(stock, unsaved) => <Opened stock={stock} unsaved={unsaved} />}
    </DocumentLoader>
  );
}

type Props = { stock: JobStock; unsaved: LeftUnsaved };

function Opened({ stock, unsaved }: Props) {
  const jobId = stock.job_id;
  const {
    each,
    document,
    change,
    addOffcut,
    shown: shownFirst,
    looking,
    mayBeFewer,
    stop,
    workingOut,
    pending,
    refusal,
    problems,
  } = useStock(stock, unsaved.drafts);
  const long = useLongLook(jobId, document, shownFirst);
  const shown = long.found?.list ?? shownFirst;
  const [history, setHistory] = useState(false);
  const anything = shown?.conduits.some(({ cuts }) => cuts) ?? false;
  return (
    <div className="flex min-h-full flex-col print:block">
      <CutsBar stock={stock} each={each} ready={Boolean(shown)} history={() => setHistory(true)} />
      <main className="mx-auto w-full max-w-4xl flex-1 p-4 desk:p-8">
        <p className="hidden text-soft print:block">{stock.job_name}</p>
        <div className="flex flex-wrap items-center gap-x-1.5 print:hidden">
          <span className="text-soft">{say("Cut with")}</span>
          <Select
            look="word"
            label={say("Cut with")}
            value={document.kerf === "0" ? "wheel" : "saw"}
            options={[...SAWS]}
            onChange={(next) => change(cutWith(next as "saw" | "wheel"))}
          />
          {looking ? (
            <span role="status" className="flex items-baseline gap-2 text-sm text-soft">
              {say("Looking for fewer sticks …")}
              <Button className="px-2 text-sm" onClick={stop}>
                {say("Stop")}
              </Button>
            </span>
          ) : null}
          {mayBeFewer && !long.found && !looking ? (
            <Button className="ml-3 px-3" disabled={long.looking} onClick={long.look}>
              {say("Look longer for fewer sticks")}
            </Button>
          ) : null}
          {anything ? (
            <span className="ml-auto flex items-center gap-2">
              <span className="text-sm text-soft">{say("Once it is cut:")}</span>
              <Button
                onClick={() =>
                  void cut(
                    each,
                    jobId,
                    long.found ? { work: long.found.work } : { seconds: LOOK_S },
                  )
                }
              >
                {say("Put the offcuts into stock")}
              </Button>
            </span>
          ) : null}
        </div>
        <WorkRows {...long} />
        {long.found ? (
          <p className="pt-2 text-sm text-soft">
            {long.found.fewer > 0
              ? sayOf(
                  long.found.fewer,
                  "Looked at for longer: one stick fewer.",
                  "Looked at for longer: {fewer} sticks fewer.",
                  { fewer: long.found.fewer },
                )
              : say("Looked at for longer: no fewer sticks were found.")}
          </p>
        ) : null}
        {refusal ? (
          <p role="alert" className="my-3 border-l-3 border-brick bg-brick-soft px-3 py-2">
            {refusal}
          </p>
        ) : null}
        {(pending || workingOut) && !shown ? (
          <div role="status" className="grid gap-2 py-6">
            <p>{say("Every run is planned once, to know its pieces.")}</p>
            <ProgressBar
              label={say("Runs that are planned")}
              far={workingOut && { done: workingOut.worked_out, of: workingOut.runs }}
              what={say("runs")}
            />
          </div>
        ) : null}
        {shown?.conduits.length === 0 ? (
          <p className="py-6 text-soft">
            {shown.bent > 0 ? say("Nothing left to cut.") : say("No runs yet, so nothing to cut.")}
          </p>
        ) : null}
        {shown && shown.bent > 0 ? (
          <p className="pt-2 text-sm text-soft">
            {sayOf(
              shown.bent,
              "One run is bent or fitted, and cut no more.",
              "{bent} runs are bent or fitted, and cut no more.",
              { bent: shown.bent },
            )}
          </p>
        ) : null}
        {shown?.conduits.map((conduit) => (
          <CutConduit
            key={`${conduit.type} ${conduit.size}`}
            conduit={conduit}
            stock={document}
            problems={problems}
            change={change}
            addOffcut={addOffcut}
          />
        ))}
        {shown && shown.spare.length > 0 ? (
          <section aria-label={say("In hand, and not wanted")} className="mt-6">
            <Materials
              title={say("In hand, and no run takes it")}
              materials={shown.spare}
              stock={document}
              problems={problems}
              change={change}
            />
          </section>
        ) : null}
      </main>
      <DocumentDialogs
        each={each}
        versions={versionsOf("stock", jobId)}
        history={history}
        showHistory={setHistory}
        unsaved={unsaved}
      />
    </div>
  );
}

/** The list was cut as it stands: offcuts that it took go, what is worth keeping comes. */
async function cut(
  each: OpenStock,
  jobId: number,
  list: { readonly seconds: number } | { readonly work: number },
): Promise<void> {
  await saveNow(each as Parameters<typeof saveNow>[0]);
  const { current, baseVersion, saving, setSaving, takeTheirs } = each.store.getState();
  if (saving.state !== "saved") {
    return;
  }
  try {
    takeTheirs(await cutNow(jobId, current(), baseVersion, list));
  } catch (error) {
    setSaving(outcome(error));
  }
}
