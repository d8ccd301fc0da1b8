// Ducts between buildings as they are changed.
import { type JobSite, planSite, type SitePlan } from "@/api/sites";
import { usePlanned } from "@/features/documents/usePlanned";
import type { Draft } from "@/model/draft";
import type { SiteChange, SiteDocument } from "@/model/sites";

/** What changes a site, and what is found of it: what every list of it is given. */
export type EditingSite = {
  readonly document: SiteDocument;
  readonly problems: ReadonlyMap<string, string>;
  readonly plan: SitePlan | null;
  readonly change: (next: SiteChange) => void;
};

export function useSite(site: JobSite, drafts: readonly Draft[]) {
  const planned = usePlanned<"site", SitePlan>("site", site, drafts, planSite);
  const { document, problems, answer: plan, change } = planned;
  const editing: EditingSite = { document, problems, plan, change };
  return { ...planned, editing };
}
