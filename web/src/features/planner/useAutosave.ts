// Saving by itself: a draft on this machine at once, the server a moment after the last key.
import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { useStore } from "zustand";
import { Refused, type Schemas } from "@/api/client";
import { forgetLists, saveRun } from "@/api/queries";
import { dropDraft, keepDraft } from "@/model/drafts";
import { rememberHabit } from "@/model/remembered";
import type { PlannerStore } from "@/model/store";

const PAUSE_MS = 700;
const TRY_AGAIN_MS = 3000;

export function useAutosave(store: PlannerStore): void {
  const queries = useQueryClient();
  const document = useStore(store, (state) => state.history.present);
  const saving = useStore(store, (state) => state.saving.state);

  useEffect(() => {
    if (saving === "saved") {
      return;
    }
    const { runId, baseVersion } = store.getState();
    keepDraft(runId, { document, baseVersion });
  }, [store, document, saving]);

  useEffect(() => {
    if (saving !== "waiting" && saving !== "offline") {
      return;
    }
    const pause = saving === "offline" ? TRY_AGAIN_MS : PAUSE_MS;
    let timer = setTimeout(attempt, pause);
    const now = () => {
      clearTimeout(timer);
      attempt();
    };
    function attempt(): void {
      // `document` is what this effect was set up for: a later change sets up another.
      if (document === store.getState().history.present) {
        void save(store, () => forgetLists(queries));
      }
      timer = setTimeout(attempt, TRY_AGAIN_MS);
    }
    window.addEventListener("online", now);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("online", now);
    };
  }, [store, queries, document, saving]);

  // Whoever leaves the run finds it in its job as they left it.
  useEffect(() => () => void saveNow(store, () => forgetLists(queries)), [store, queries]);
}

/** Saves that have not been answered: one at a time a run, so that versions follow one another. */
const underWay = new WeakMap<PlannerStore, Promise<void>>();

/** Everything typed so far, saved where that is possible, before something is made from it. */
export async function saveNow(store: PlannerStore, done: () => void): Promise<void> {
  await underWay.get(store);
  const { state } = store.getState().saving;
  if (state === "waiting" || state === "offline") {
    await save(store, done);
  }
}

function save(store: PlannerStore, done: () => void): Promise<void> {
  const running = underWay.get(store) ?? send(store, done).finally(() => underWay.delete(store));
  underWay.set(store, running);
  return running;
}

async function send(store: PlannerStore, done: () => void): Promise<void> {
  const { runId, history, baseVersion, saving, saved, setSaving } = store.getState();
  const document = history.present;
  if (saving.state === "waiting") {
    setSaving({ state: "saving" });
  }
  try {
    const run = await saveRun(runId, document, baseVersion);
    saved(document, run.version);
    rememberHabit(document);
    if (store.getState().saving.state === "saved") {
      dropDraft(runId);
    }
    done();
  } catch (error) {
    const changed = store.getState().history.present !== document;
    setSaving(changed && !isConflict(error) ? { state: "waiting" } : outcome(error));
  }
}

function isConflict(error: unknown): boolean {
  return error instanceof Refused && error.status === 409;
}

function outcome(error: unknown): Parameters<ReturnType<PlannerStore["getState"]>["setSaving"]>[0] {
  if (!(error instanceof Refused)) {
    return { state: "refused", message: "This could not be saved. Your work is kept here." };
  }
  const { status, message, problem } = error;
  if (status === 0 || status >= 500) {
    return { state: "offline" };
  }
  if (status === 409) {
    const { theirs } = problem as Schemas["ConflictProblem"];
    return { state: "conflict", theirs, message };
  }
  return status === 422 ? { state: "unreadable", message } : { state: "refused", message };
}
