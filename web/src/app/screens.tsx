// The screens that are files of their own: the one that the address asks for is fetched before
// anything is drawn, so that no word of waiting comes between, which React would leave standing.
import { type ComponentType, lazy, useState } from "react";
import { matchPath } from "react-router";
import { DOCUMENTS, IN_JOB, type InJob, KINDS, type Kind, kindOf } from "@/documents/registry";

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

/** The screens of the kinds of documents; null, where one is shown in a window over another. */
const OF_KIND: Record<Kind, (() => Promise<Loaded>) | null> = {
  run: () => import("@/features/planner/PlannerScreen"),
  box: () => import("@/features/boxes/BoxScreen"),
  wall: () => import("@/features/walls/WallScreen"),
  site: () => import("@/features/sites/SiteScreen"),
  stock: () => import("@/features/cuts/CutsScreen"),
  bender: null,
  fittings: null,
};

/** The sheet of a kind of documents, in the file that all of them share. */
async function sheetOf(kind: InJob): Promise<Loaded> {
  const { DocumentSheet } = await import("@/features/sheet/DocumentSheet");
  return { default: () => <DocumentSheet kind={kind} /> };
}

const of = (path: string, load: () => Promise<Loaded>) => ({ path, ...inItsOwnFile(load) });

/** Their addresses, as the router has them. */
export const SCREENS = [
  of("/", () => import("@/features/jobs/JobsScreen")),
  of("/jobs/:jobId", () => import("@/features/jobs/JobScreen")),
  ...KINDS.flatMap((kind) => {
    const { path } = kindOf(kind);
    const load = OF_KIND[kind];
    return path && load ? [of(path, load)] : [];
  }),
  ...IN_JOB.map((kind) => of(`${DOCUMENTS[kind].path}/sheet`, () => sheetOf(kind))),
  of("/runs/:runId/sheet", () => import("@/features/sheet/SheetScreen")),
  of("/runs/:runId/bench", () => import("@/features/bench/BenchScreen")),
  of("/crew", () => import("@/features/crew/CrewScreen")),
  of("/quick", () => import("@/features/quick/QuickScreen")),
  of("/check/:what?", () => import("@/features/check/CheckScreen")),
];

/** Fetches what an address shows. One that can't be fetched now is tried again when it is drawn. */
export async function fetchScreen(address: string): Promise<void> {
  const found = SCREENS.find(({ path }) => matchPath(path, address));
  await found?.fetch().catch(() => undefined);
}
