// A box's document as it is changed: its answer at once, saved a moment after the last change.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Refused, type Schemas } from "@/api/client";
import { checkSiteBox, type JobBox, keys, saveBox } from "@/api/queries";
import { useCheck } from "@/features/check/useCheck";
import { type Fields, said } from "@/model/wires";

export type SiteBoxDocument = Schemas["SiteboxDocument"];
export type SiteBoxResult = JobBox["result"];

const SAVE_AFTER_MS = 700;

export function useSiteBox(box: JobBox) {
  const [document, setDocument] = useState<SiteBoxDocument>(box.document);
  const saved = useRef({ document: box.document, version: box.version });
  const queries = useQueryClient();
  const checked = useCheck(`box ${box.job_id}`, document, async (asked, signal) => {
    return (await checkSiteBox(box.job_id, asked, signal)) as SiteBoxResult;
  });
  const save = useMutation({
    mutationFn: (next: SiteBoxDocument) => saveBox(box.job_id, next, saved.current.version),
    onSuccess: ({ version }, next) => {
      saved.current = { document: next, version };
      void queries.invalidateQueries({ queryKey: keys.boxes(box.job_id) });
    },
  });
  const { mutate } = save;
  const readable = checked.problems.size === 0;
  useEffect(() => {
    if (document === saved.current.document || !readable) {
      return;
    }
    const timer = setTimeout(() => mutate(document), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [document, readable, mutate]);
  const change = (fields: Fields<SiteBoxDocument>) =>
    setDocument((before) => said<SiteBoxDocument>({ ...before, ...fields }));
  const error = save.error instanceof Refused ? save.error.message : "";
  const waiting = document !== saved.current.document;
  return {
    ...checked,
    answer: checked.answer ?? box.result,
    document,
    change,
    saving: error || (save.isPending ? "saving" : waiting ? "waiting" : "saved"),
  };
}
