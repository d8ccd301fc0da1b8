// A framed wall of a job: the elevation, the same as a list, and what it comes to.
import { useState } from "react";
import { useParams } from "react-router";
import { loadDocument } from "@/api/documents";
import { versionsOf } from "@/api/history";
import { keys } from "@/api/queries";
import type { JobWall } from "@/api/walls";
import { WallElevation } from "@/drawing/WallElevation";
import { DocumentBar } from "@/features/documents/DocumentBar";
import { DocumentLoader } from "@/features/documents/DocumentLoader";
import { DocumentDialogs } from "@/features/history/DocumentDialogs";
import type { LeftUnsaved } from "@/model/draft";
import { setWall } from "@/model/walls";
import { FieldProblems } from "@/ui/FieldProblems";
import { MoreMenu } from "@/ui/MoreMenu";
import { ScrollArea } from "@/ui/ScrollArea";
import { say } from "@/words/say";
import { useWall } from "./useWall";
import { WallAnswers } from "./WallAnswers";
import { WallFields } from "./WallFields";

export default function WallScreen() {
  const wallId = Number(useParams().id);
  return (
    <DocumentLoader
      of={{ kind: "wall", id: String(wallId) }}
      queryKey={keys.document("wall", wallId)}
      load={() => loadDocument("wall", wallId)}
    >
      {(wall, unsaved) => <Opened wall={wall} unsaved={unsaved} />}
    </DocumentLoader>
  );
}

type Props = { wall: JobWall; unsaved: LeftUnsaved };

function Opened({ wall, unsaved }: Props) {
  const { each, document, editing, answer, old, current, problems, refusal } = useWall(
    wall,
    unsaved.drafts,
  );
  const { change } = editing;
  const [history, setHistory] = useState(false);
  return (
    <div className="flex h-full flex-col">
      <DocumentBar
        kind="wall"
        loaded={wall}
        each={each}
        name={document.name ?? ""}
        onName={(name) => change(setWall({ name }))}
        showHistory={() => setHistory(true)}
        menu={(last) => <MoreMenu actions={last} />}
      />
      <main
        onBlur={each.store.getState().settle}
        className="relative grid min-h-0 flex-1 overflow-auto desk:grid-cols-[22rem_minmax(0,1fr)]"
      >
        <div className="relative border-line bg-paper p-4 max-desk:order-2 desk:overflow-auto desk:border-r desk:p-5">
          <WallFields editing={editing} />
          <FieldProblems problems={problems} document={document} />
          {refusal ? (
            <p role="alert" className="pt-2 text-sm text-brick">
              {refusal}
            </p>
          ) : null}
        </div>
        <ScrollArea
          label={say("The wall")}
          className={`min-w-0 max-desk:contents desk:overflow-auto desk:p-4 ${old ? "opacity-60" : ""}`}
        >
          {answer ? (
            <div className="max-desk:contents desk:grid desk:content-start desk:gap-4">
              {/* On a phone the drawing comes first and stays, then what is typed, then what it comes to. */}
              <div
                data-wall-plan
                data-current={current}
                className="max-desk:sticky max-desk:top-0 max-desk:z-10 max-desk:order-1 max-desk:border-b max-desk:border-line max-desk:bg-canvas max-desk:p-2"
              >
                <WallElevation plan={answer} change={change} />
              </div>
              <div className="max-desk:order-3 max-desk:p-4">
                <WallAnswers wallId={wall.id} plan={answer} />
              </div>
            </div>
          ) : (
            <p className="text-soft">{say("Planning the wall …")}</p>
          )}
        </ScrollArea>
      </main>
      <DocumentDialogs
        each={each}
        versions={versionsOf("wall", wall.id)}
        history={history}
        showHistory={setHistory}
        unsaved={unsaved}
      />
    </div>
  );
}
