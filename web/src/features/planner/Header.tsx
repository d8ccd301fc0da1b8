// Which run this is, how saving stands, and what can be done with the whole of it.
import { useQueryClient } from "@tanstack/react-query";
import { memo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { client, Refused, unwrap } from "@/api/client";
import { versionsOf } from "@/api/history";
import { createRun, forgetLists } from "@/api/queries";
import { AccountMenu } from "@/features/account/AccountMenu";
import { HistoryDialog } from "@/features/history/HistoryDialog";
import { set } from "@/model/commands";
import { drop, type OpenDocument, saveNow } from "@/model/savedDocuments";
import { usePlanner, usePlannerStore } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { MoreMenu } from "@/ui/MoreMenu";
import { SavingState } from "@/ui/SavingState";
import { TopBar } from "@/ui/TopBar";
import { UndoButtons } from "@/ui/UndoButtons";
import { JUST_MADE, useNamedFirst } from "@/ui/useNamedFirst";
import { say } from "@/words/say";
import { downloadRun } from "./downloadRun";

type Props = {
  each: OpenDocument;
  job: { id: number; name: string };
  showShortcuts: () => void;
};

export const Header = memo(function Header({ each, job, showShortcuts }: Props) {
  const store = usePlannerStore();
  const name = usePlanner((state) => state.history.present.name ?? "");
  const runId = usePlanner((state) => state.runId);
  const change = usePlanner((state) => state.change);
  const setSaving = usePlanner((state) => state.setSaving);
  const saving = usePlanner((state) => state.saving);
  const kept = usePlanner((state) => state.kept);
  const [history, setHistory] = useState(false);
  const nameField = useNamedFirst();
  const queries = useQueryClient();
  const navigate = useNavigate();

  const asNew = async (newName: string) => {
    const original = store.getState().history.present;
    const run = await createRun(job.id, { ...original, name: newName });
    forgetLists(queries);
    await navigate(`/runs/${run.id}`, JUST_MADE);
  };
  const copy = () => asNew(say("{name}, copy", { name: name || say("Run") }));
  /** What was removed meanwhile, or is no longer this crew's: what is here goes on as a new run. */
  const rescue = async () => {
    await asNew(name || say("Run"));
    await drop(each);
  };
  /** Sheet and bench are of what is saved: what was typed last has to be on it. */
  const goTo = (address: string) => async () => {
    await saveNow(each);
    await navigate(`/runs/${runId}/${address}`);
  };
  const remove = async () => {
    await unwrap(client.DELETE("/api/runs/{run_id}", { params: { path: { run_id: runId } } }));
    setSaving({ state: "saved" }); // what is removed is not saved once more
    await drop(each);
    forgetLists(queries);
    await navigate(`/jobs/${job.id}`, { state: { removed: { id: runId, name } } });
  };
  /** What the server writes is of what is saved. */
  const open_ = (file: string) =>
    void saveNow(each).then(() => window.location.assign(`/api/runs/${runId}/${file}`));
  /** Of a parted run, what is looked at. */
  const ofPiece = (file: string) => `${file}?piece=${Math.max(store.getState().piece, 1)}`;
  const attempt = (action: () => Promise<void>) => () =>
    void action().catch((error: unknown) => {
      const message =
        error instanceof Refused ? error.message : say("That did not work. Try again.");
      setSaving({ state: "refused", message });
    });

  return (
    <TopBar
      title={name}
      named
      actions={
        <>
          <UndoButtons store={store} />
          <Button onClick={attempt(() => goTo(ofPiece("bench"))())}>
            <Icon name="bend" />
            <span className="max-desk:sr-only">{say("Bench")}</span>
          </Button>
          <Button weight="main" onClick={attempt(goTo("sheet"))}>
            <Icon name="sheet" />
            <span className="max-desk:sr-only">{say("Sheet")}</span>
          </Button>
          <MoreMenu
            actions={[
              { label: say("History"), run: () => setHistory(true) },
              {
                label: say("Export the run file"),
                run: () => downloadRun(store.getState().history.present),
              },
              { label: say("Bend table (CSV)"), run: () => open_(ofPiece("bends.csv")) },
              { label: say("Drawing (DXF)"), run: () => open_("drawing.dxf") },
              { label: say("The stick (SVG)"), run: () => open_(ofPiece("stick.svg")) },
              { label: say("Copy this run"), run: attempt(copy) },
              { label: say("Shortcuts"), key: "?", run: showShortcuts },
              {
                label: say("Remove this run"),
                hint: say("it can be restored"),
                run: attempt(remove),
              },
            ]}
          />
          <span className="max-desk:hidden">
            <AccountMenu />
          </span>
        </>
      }
    >
      <Link to={`/jobs/${job.id}`} className="truncate text-soft hover:text-ink max-desk:hidden">
        {job.name}
      </Link>
      <span className="text-soft max-desk:hidden">/</span>
      <h1 className="sr-only">{name}</h1>
      <div className="flex min-w-0 flex-1 items-center gap-x-3">
        <input
          ref={nameField}
          aria-label={say("Name of the run")}
          value={name}
          maxLength={120}
          onChange={(event) => change(set("name", event.target.value), "name")}
          onKeyDown={({ key, currentTarget }) => key === "Enter" && currentTarget.blur()}
          className="grows min-w-0 max-w-full truncate rounded desk:min-w-24 border border-transparent bg-transparent px-1 text-lg font-semibold hover:border-line"
        />
        <SavingState saving={saving} kept={kept} />
        {saving.state === "gone" ? (
          <Button onClick={attempt(rescue)}>{say("Save as a new run")}</Button>
        ) : null}
      </div>
      <HistoryDialog
        each={each}
        versions={versionsOf("run", runId)}
        taken={(run) => run}
        open={history}
        onOpenChange={setHistory}
      />
    </TopBar>
  );
});
