import type { SitePlan } from "@/api/sites";

/** The second ways that are shown: of a stretch that is chosen those that free whom its cut takes
 * down, else the one that frees the most. */
export function secondWays(plan: SitePlan | null, chosen: number | null) {
  const ways = plan?.second_ways ?? [];
  const held = plan?.stretches.find(({ number }) => number === chosen)?.no_way_round;
  if (held) {
    return ways.filter(({ frees }) => frees.some((name) => held.includes(name)));
  }
  return ways.toSorted((one, other) => other.frees.length - one.frees.length).slice(0, 1);
}
