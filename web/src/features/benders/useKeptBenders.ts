// The crew's own benders for a conduit, as a document takes them.
import { useBenders } from "@/api/benders";
import { asInRun, type KeptBender, keptBenderOf } from "@/model/benders";
import { sameConduit } from "@/model/conduit";
import type { RunDocument, Units } from "@/model/document";

export function useKeptBenders(conduit: RunDocument["conduit"], units: Units): KeptBender[] {
  return (useBenders().data ?? [])
    .filter(({ document }) => sameConduit(document.conduit, conduit))
    .map((each) => ({ id: `own-${each.id}`, name: each.name, own: asInRun(each, units) }));
}

/** The one of the crew's own that a run's bender is, as it is known now. */
export function useOwnBender({ bender, conduit, units }: RunDocument): KeptBender | undefined {
  return keptBenderOf(useKeptBenders(conduit, units), bender);
}
