// The units, conduit and bender that were used last, for the next run.
import type { RunDocument, Units } from "./document";
import { isLike, readStored, writeStored } from "./stored";

export type Habit = { readonly conduit: RunDocument["conduit"]; readonly bender: string };

const FIRST: Record<Units, Habit> = {
  in: { conduit: { type: "emt", size: "1/2" }, bender: "hand-emt-1/2" },
  mm: { conduit: { type: "steel", size: "20" }, bender: "bench-steel-20" },
};

const key = (units: Units) => `yarrow.habit.${units}`;

export function rememberHabit(document: RunDocument): void {
  if (typeof document.bender === "string") {
    writeStored(key(document.units), { conduit: document.conduit, bender: document.bender });
  }
}

export function lastHabit(units: Units): Habit {
  return readStored(key(units), isLike(FIRST[units])) ?? FIRST[units];
}
