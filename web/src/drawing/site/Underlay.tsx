// A picture under a plan, laid by two of its points and how far apart they are.
import { pointOf, type SiteDocument } from "@/model/sites";
import { onScreen, type SiteView } from "./siteView";

type Props = { siteId: number; document: SiteDocument; view: SiteView };

export function Underlay({ siteId, document, view }: Props) {
  const plan = document.plan;
  if (!plan?.picture) {
    return null;
  }
  const [from, to] = [pointOf(plan.from), pointOf(plan.to)];
  const pixels = Math.hypot(to[0] - from[0], to[1] - from[1]);
  if (!(pixels > 0 && plan.apart > 0)) {
    return null;
  }
  const [x, y] = onScreen(view, pointOf(plan.at ?? [0, 0]));
  const scale = (plan.apart / pixels) * view.scale;
  return (
    <image
      href={`/api/sites/${siteId}/pictures/${encodeURIComponent(plan.picture)}`}
      transform={`translate(${x} ${y}) rotate(${plan.turned ?? 0}) scale(${scale}) translate(${-from[0]} ${-from[1]})`}
      className="opacity-60"
    />
  );
}
