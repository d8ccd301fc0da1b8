// Ducts between buildings as they are changed: planned at once, saved a moment after the last change.
import { useQueryClient } from "@tanstack/react-query";
import { useCallback } from "react";
import { keys } from "@/api/queries";
import { type JobSite, planSite, type SitePlan, saveSite } from "@/api/sites";
import { useOpened } from "@/features/documents/useOpened";
import type { Draft } from "@/model/draft";
import type { SiteChange, SiteDocument } from "@/model/sites";
import { useCheck } from "@/state/useCheck";
import { fieldTypedIn } from "@/ui/fieldTypedIn";
import { useSavedDocument } from "@/ui/useSavedDocument";

/** What changes a site, and what is found of it: what every list of it is given. */
export type EditingSite = {
  readonly document: SiteDocument;
  readonly problems: ReadonlyMap<string, string>;
  readonly plan: SitePlan | null;
  readonly change: (next: SiteChange) => void;
};

export function useSite(site: JobSite, drafts: readonly Draft[]) {
  const queries = useQueryClient();
  const { each, document } = useOpened<SiteDocument>(site, drafts, {
    target: { kind: "site", id: String(site.id), title: `${site.job_name}, ${site.name}` },
    send: (next, baseVersion) => saveSite(site.id, next, baseVersion),
    done: () => void queries.invalidateQueries({ queryKey: keys.sites(site.job_id) }),
  });
  const checked = useCheck<SiteDocument, SitePlan>(`site ${site.id}`, document, planSite);
  useSavedDocument(each, { readable: checked.readable });
  const { problems, answer: plan } = checked;
  const change = useCallback(
    (next: SiteChange) => each.store.getState().change(next, fieldTypedIn()),
    [each],
  );
  const editing: EditingSite = { document, problems, plan, change };
  return { ...checked, each, document, editing };
}
