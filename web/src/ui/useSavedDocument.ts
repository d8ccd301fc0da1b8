// A document on the screen that saves itself: a draft with every change, the server after a pause.
import { useEffect } from "react";
import { useStore } from "zustand";
import { keep, type OpenDocument, opened, save, saveNow } from "@/model/savedDocuments";
import { TRIED_AGAIN } from "@/model/saving";

const PAUSE_MS = 700;
const TRY_AGAIN_MS = 3000;
const UNKNOWN_MS = 4000;

type Options = {
  /** Whether it is saved after a pause; a form with a button of its own only keeps a draft. */
  readonly byItself?: boolean;
  /** Whether it can be read: what can't be is kept as a draft and not sent; null while nobody knows
   * yet, which is waited for, though not for ever. */
  readonly readable?: boolean | null;
};

export function useSavedDocument<D>(
  each: OpenDocument<D>,
  { byItself = true, readable = true }: Options = {},
): void {
  const document = useStore(each.store, (state) => state.current());
  const saving = useStore(each.store, (state) => state.saving.state);
  const kept = useStore(each.store, (state) => state.kept);
  const one = each as OpenDocument;

  useEffect(() => opened(one), [one]);

  // `document` is here for its own sake: every change of it is kept.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a change is what this waits for
  useEffect(() => {
    if (saving !== "saved") {
      void keep(one);
    }
  }, [one, document, saving]);

  useEffect(() => {
    if (byItself && readable === false && TRIED_AGAIN.includes(saving)) {
      each.store.getState().setSaving({ state: "unreadable", message: "" });
    }
  }, [each.store, saving, byItself, readable]);

  useEffect(() => {
    if (!(byItself && readable !== false && TRIED_AGAIN.includes(saving))) {
      return;
    }
    const answered = readable ? PAUSE_MS : UNKNOWN_MS;
    const pause = saving === "waiting" ? answered : TRY_AGAIN_MS;
    let timer = setTimeout(attempt, pause);
    const now = () => {
      clearTimeout(timer);
      attempt();
    };
    function attempt(): void {
      // `document` is what this effect was set up for: a later change sets up another.
      if (document === each.store.getState().current()) {
        void save(one);
      }
      timer = setTimeout(attempt, TRY_AGAIN_MS);
    }
    window.addEventListener("online", now);
    return () => {
      clearTimeout(timer);
      window.removeEventListener("online", now);
    };
  }, [each.store, one, document, saving, byItself, readable]);

  // Whoever goes elsewhere finds it saved; a draft that could not even be kept is asked about.
  useEffect(() => {
    if (kept || saving === "saved") {
      return;
    }
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [kept, saving]);
  useEffect(
    () => () => {
      if (byItself) {
        void saveNow(one);
      }
    },
    [one, byItself],
  );
}
