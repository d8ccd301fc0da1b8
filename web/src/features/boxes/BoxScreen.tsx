// A box of a job as a whole: every run that meets there, its volume, its size, its holes.
import { useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { useStore } from "zustand";
import { type JobBox, loadBox } from "@/api/boxes";
import { putAway, versionsOf } from "@/api/history";
import { keys } from "@/api/queries";
import { AccountMenu } from "@/features/account/AccountMenu";
import { DocumentLoader } from "@/features/documents/DocumentLoader";
import { TitleInJob } from "@/features/documents/TitleInJob";
import { DocumentDialogs } from "@/features/history/DocumentDialogs";
import { useRemoveDocument } from "@/features/history/useRemoveDocument";
import type { LeftUnsaved } from "@/model/draft";
import type { OpenDocument } from "@/model/savedDocuments";
import { MoreMenu } from "@/ui/MoreMenu";
import { ScrollArea } from "@/ui/ScrollArea";
import { TopBar } from "@/ui/TopBar";
import { say } from "@/words/say";
import { BoxAnswers } from "./BoxAnswers";
import { SiteBoxFields } from "./SiteBoxFields";
import { boxId, useSiteBox } from "./useSiteBox";

export default function BoxScreen() {
  const jobId = Number(useParams().jobId);
  const name = useSearchParams()[0].get("name") ?? "";
  return (
    <DocumentLoader
      of={{ kind: "box", id: boxId({ job_id: jobId, name }) }}
      queryKey={keys.box(jobId, name)}
      load={() => loadBox(jobId, name)}
    >
      {(box, unsaved) => <Opened key={name} box={box} unsaved={unsaved} />}
    </DocumentLoader>
  );
}

type Props = { box: JobBox; unsaved: LeftUnsaved };

function Opened({ box, unsaved }: Props) {
  const { each, document, change, answer, old, problems, refusal } = useSiteBox(
    box,
    unsaved.drafts,
  );
  const saving = useStore(each.store, (state) => state.saving);
  const kept = useStore(each.store, (state) => state.kept);
  const saved = useStore(each.store, (state) => state.baseVersion > 0);
  const [history, setHistory] = useState(false);
  const forget = useRemoveDocument(each as OpenDocument, box.job_id, () =>
    putAway("box", box.job_id, box.name),
  );
  return (
    <div className="flex h-full flex-col">
      <TopBar
        title={box.name}
        named
        actions={
          <>
            {saved ? (
              <MoreMenu
                actions={[
                  { label: say("History"), run: () => setHistory(true) },
                  {
                    label: say("Forget what is told of it"),
                    hint: say("it can be restored"),
                    run: () => void forget(),
                  },
                ]}
              />
            ) : null}
            <AccountMenu />
          </>
        }
      >
        <TitleInJob job={{ id: box.job_id, name: box.job_name }} saving={saving} kept={kept}>
          <h1 className="truncate px-1 text-lg font-semibold">{box.name}</h1>
        </TitleInJob>
      </TopBar>
      <main className="relative grid min-h-0 flex-1 overflow-auto desk:grid-cols-[25rem_minmax(0,1fr)]">
        <div className="relative grid content-start gap-5 border-r border-line bg-paper p-4 desk:overflow-auto desk:p-5">
          <SiteBoxFields
            runIds={box.run_ids}
            document={document}
            change={change}
            answer={answer}
            problems={problems}
            refusal={refusal}
          />
        </div>
        <ScrollArea
          label={say("The box as a whole")}
          className={`grid min-w-0 content-start gap-8 p-4 desk:overflow-auto desk:p-6 ${old ? "opacity-60" : ""}`}
        >
          <BoxAnswers answer={answer} />
        </ScrollArea>
      </main>
      <DocumentDialogs
        each={each}
        versions={versionsOf("box", box.job_id, box.name)}
        history={history}
        showHistory={setHistory}
        unsaved={unsaved}
      />
    </div>
  );
}
