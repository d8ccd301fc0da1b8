// The crew's own benders for a conduit, as a document takes them.
import { useBenders } from "@/api/queries";
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
