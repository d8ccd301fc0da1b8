// A framed wall of a job: the elevation, the same as a list, and what it comes to.
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { useStore } from "zustand";
import { putAway, versionsOf } from "@/api/history";
import { keys } from "@/api/queries";
import { type JobWall, loadWall } from "@/api/walls";
import { WallElevation } from "@/drawing/WallElevation";
import { AccountMenu } from "@/features/account/AccountMenu";
import { DocumentTitle } from "@/features/documents/DocumentTitle";
import { type LeftUnsaved, Opening } from "@/features/documents/Opening";
import { DocumentDialogs } from "@/features/history/DocumentDialogs";
import { usePutAway } from "@/features/history/usePutAway";
import { type OpenDocument, saveNow } from "@/model/savedDocuments";
import { setWall } from "@/model/walls";
import { Button, IconButton } from "@/ui/Button";
import { FieldProblems } from "@/ui/FieldProblems";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { ScrollArea } from "@/ui/ScrollArea";
import { TopBar } from "@/ui/TopBar";
import { UndoButtons } from "@/ui/UndoButtons";
import { useWall } from "./useWall";
import { WallAnswers } from "./WallAnswers";
import { WallFields } from "./WallFields";

export default function WallScreen() {
  const wallId = Number(useParams().wallId);
  return (
    <Opening
      of={{ kind: "wall", id: String(wallId) }}
      what="the wall"
      queryKey={keys.wall(wallId)}
      load={() => loadWall(wallId)}
    >
      {(wall, unsaved) => <Opened wall={wall} unsaved={unsaved} />}
    </Opening>
  );
}

type Props = { wall: JobWall; unsaved: LeftUnsaved };

function Opened({ wall, unsaved }: Props) {
  const { each, document, editing, answer, old, current, problems, refusal } = useWall(
    wall,
    unsaved.drafts,
  );
  const { change } = editing;
  const saving = useStore(each.store, (state) => state.saving);
  const kept = useStore(each.store, (state) => state.kept);
  const [history, setHistory] = useState(false);
  const navigate = useNavigate();
  const openSheet = async () => {
    // The sheet is of what is saved: what was typed last has to be on it.
    await saveNow(each as OpenDocument);
    await navigate(`/walls/${wall.id}/sheet`);
  };
  const remove = usePutAway(each as OpenDocument, wall.job_id, () => putAway("wall", wall.id));
  return (
    <div className="flex h-full flex-col">
      <TopBar
        title={document.name ?? ""}
        named
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
                { label: "History", run: () => setHistory(true) },
                { label: "Remove this wall", run: () => void remove() },
              ]}
            />
            <AccountMenu />
          </>
        }
      >
        <DocumentTitle
          job={{ id: wall.job_id, name: wall.job_name }}
          label="Name of the wall"
          name={document.name ?? ""}
          onName={(name) => change(setWall({ name }))}
          saving={saving}
          kept={kept}
        />
      </TopBar>
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
          label="The wall"
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
            <p className="text-soft">Planning the wall …</p>
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
