// A box's document as it is changed: its answer at once, saved a moment after the last change.
import { useQueryClient } from "@tanstack/react-query";
import { checkSiteBox, type JobBox, saveBox } from "@/api/boxes";
import type { Schemas } from "@/api/client";
import { keys } from "@/api/queries";
import { useOpened } from "@/features/documents/useOpened";
import type { Draft } from "@/model/draft";
import type { Fields } from "@/model/wires";
import { withoutEmpty } from "@/model/without";
import { useCheck } from "@/state/useCheck";
import { useSavedDocument } from "@/ui/useSavedDocument";

export type SiteBoxDocument = Schemas["SiteboxDocument"];
export type SiteBoxResult = JobBox["result"];

export function useSiteBox(box: JobBox, drafts: readonly Draft[]) {
  const queries = useQueryClient();
  const { each, document } = useOpened<SiteBoxDocument>(box, drafts, {
    target: { kind: "box", id: boxId(box), title: `${box.job_name}, ${box.name}` },
    send: (next, baseVersion) => saveBox(box.job_id, next, baseVersion),
    done: () => void queries.invalidateQueries({ queryKey: keys.boxes(box.job_id) }),
  });
  const checked = useCheck(`box ${box.job_id}`, document, async (next, signal) => {
    return (await checkSiteBox(box.job_id, next, signal)) as SiteBoxResult;
  });
  useSavedDocument(each, { readable: checked.readable });
  const change = (fields: Fields<SiteBoxDocument>) =>
    each.store
      .getState()
      .change((before) => withoutEmpty<SiteBoxDocument>({ ...before, ...fields }));
  return { ...checked, each, answer: checked.answer ?? box.result, document, change };
}

/** What a draft of a box is kept by: its job, and its name as it is compared. */
export function boxId(box: Pick<JobBox, "job_id" | "name">): string {
  return `${box.job_id} ${box.name.trim().toLowerCase()}`;
}
