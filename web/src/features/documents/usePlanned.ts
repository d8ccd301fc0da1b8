// A document of a job as it is changed: planned at once, saved a moment after the last change.
import { useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { type Details, saveDocument } from "@/api/documents";
import { keys } from "@/api/queries";
import type { InJob } from "@/documents/registry";
import type { Draft } from "@/model/draft";
import { useCheck } from "@/state/useCheck";
import { fieldTypedIn } from "@/ui/fieldTypedIn";
import { useSavedDocument } from "@/ui/useSavedDocument";
import { useOpened } from "./useOpened";

/**
 * @param plan asks for its answer; nothing is saved by that.
 * @param saved also done after a save.
 */
export function usePlanned<K extends InJob, Plan>(
  kind: K,
  loaded: Details[K],
  drafts: readonly Draft[],
  plan: (document: Details[K]["document"], signal: AbortSignal) => Promise<Plan>,
  saved?: () => void,
) {
  type Document = Details[K]["document"];
  const queries = useQueryClient();
  const { each, document } = useOpened<Document>(loaded, drafts, {
    target: { kind, id: String(loaded.id), title: `${loaded.job_name}, ${loaded.name}` },
    send: (next, baseVersion) => saveDocument(kind, loaded.id, next, baseVersion),
    done: () => {
      void queries.invalidateQueries({ queryKey: keys.documents(kind, loaded.job_id) });
      saved?.();
    },
  });
  const checked = useCheck<Document, Plan>(`${kind} ${loaded.id}`, document, plan);
  useSavedDocument(each, { readable: checked.readable });
  const change = useCallback(
    (next: (document: Document) => Document) => each.store.getState().change(next, fieldTypedIn()),
    [each],
  );
  return { ...checked, each, document, change };
}
