// The screens that are files of their own: the one that the address asks for is fetched before
// anything is drawn, so that no word of waiting comes between, which React would leave standing.
import { type ComponentType, lazy, useState } from "react";
import { matchPath } from "react-router";

type Loaded = { default: ComponentType };

function inItsOwnFile(load: () => Promise<Loaded>) {
  const Later = lazy(load);
  let here: ComponentType | undefined;
  return {
    fetch: async () => {
      here = (await load()).default;
    },
    Screen: () => {
      // As it was when it was first drawn: a screen that is open is not made anew.
      const [Shown] = useState<ComponentType>(() => here ?? Later);
      return <Shown />;
    },
  };
}

const planner = inItsOwnFile(() => import("@/features/planner/PlannerScreen"));
const sheet = inItsOwnFile(() => import("@/features/sheet/SheetScreen"));
const bench = inItsOwnFile(() => import("@/features/bench/BenchScreen"));
const box = inItsOwnFile(() => import("@/features/boxes/BoxScreen"));
const wall = inItsOwnFile(() => import("@/features/walls/WallScreen"));
const wallSheet = inItsOwnFile(() => import("@/features/sheet/WallSheetScreen"));
const site = inItsOwnFile(() => import("@/features/sites/SiteScreen"));
const siteSheet = inItsOwnFile(() => import("@/features/sheet/SiteSheetScreen"));
const cuts = inItsOwnFile(() => import("@/features/cuts/CutsScreen"));
const quick = inItsOwnFile(() => import("@/features/quick/QuickScreen"));
const check = inItsOwnFile(() => import("@/features/check/CheckScreen"));

/** Their addresses, as the router has them. */
export const SCREENS = [
  { path: "/runs/:runId", ...planner },
  { path: "/runs/:runId/sheet", ...sheet },
  { path: "/runs/:runId/bench", ...bench },
  { path: "/jobs/:jobId/box", ...box },
  { path: "/jobs/:jobId/cuts", ...cuts },
  { path: "/walls/:wallId", ...wall },
  { path: "/walls/:wallId/sheet", ...wallSheet },
  { path: "/sites/:siteId", ...site },
  { path: "/sites/:siteId/sheet", ...siteSheet },
  { path: "/quick", ...quick },
  { path: "/check/:what?", ...check },
];

/** Fetches what an address shows. One that can't be fetched now is tried again when it is drawn. */
export async function fetchScreen(address: string): Promise<void> {
  const found = SCREENS.find(({ path }) => matchPath(path, address));
  await found?.fetch().catch(() => undefined);
}
