// The crew's own benders for a conduit, as a document takes them.
import { useBenders } from "@/api/benders";
import { asInRun } from "@/model/benders";
import { sameConduit } from "@/model/conduit";
import type { RunDocument, Units } from "@/model/document";

export type KeptBender = {
  readonly id: string;
  readonly name: string;
  readonly own: Exclude<RunDocument["bender"], string>;
};

export function useKeptBenders(conduit: RunDocument["conduit"], units: Units): KeptBender[] {
  return (useBenders().data ?? [])
    .filter(({ document }) => sameConduit(document.conduit, conduit))
    .map((each) => ({ id: `own-${each.id}`, name: each.name, own: asInRun(each, units) }));
}

/** The one of the crew's own that a run's bender is, as it is known now; by its name too, since a run
 * may come from elsewhere. */
export function useOwnBender({ bender, conduit, units }: RunDocument): KeptBender | undefined {
  const kept = useKeptBenders(conduit, units);
  return typeof bender === "string" || bender.kept === undefined
    ? undefined
    : kept.find(({ own }) => own.kept === bender.kept && own.name === bender.name);
}
