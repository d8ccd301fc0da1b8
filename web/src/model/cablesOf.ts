// What lies in a duct, as it is read: how many of which kind, from where to where.
import type { SitePlan, SiteStretch } from "@/api/sites";

export function cablesOf(
  plan: Pick<SitePlan, "cables">,
  duct: Pick<SiteStretch["ducts"][number], "cables">,
): string[] {
  return duct.cables.map(([of, count]) => {
    const cable = plan.cables[of];
    return `${count} ${cable?.kind}, ${cable?.name}`;
  });
}
