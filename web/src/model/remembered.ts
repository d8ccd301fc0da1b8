// The units, conduit and bender that were used last, for the next run.
import type { RunDocument, Units } from "./document";

export type Habit = { readonly conduit: RunDocument["conduit"]; readonly bender: string };

const FIRST: Record<Units, Habit> = {
  in: { conduit: { type: "emt", size: "1/2" }, bender: "hand-emt-1/2" },
  mm: { conduit: { type: "steel", size: "20" }, bender: "bench-steel-20" },
};

const key = (units: Units) => `yarrow.habit.${units}`;

export function rememberHabit(document: RunDocument): void {
  if (typeof document.bender !== "string") {
    return;
  }
  try {
    const habit: Habit = { conduit: document.conduit, bender: document.bender };
    localStorage.setItem(key(document.units), JSON.stringify(habit));
  } catch {
    // Not remembered, then.
  }
}

export function lastHabit(units: Units): Habit {
  try {
    const found = JSON.parse(localStorage.getItem(key(units)) ?? "null") as Habit | null;
    return found?.conduit?.type && found.bender ? found : FIRST[units];
  } catch {
    return FIRST[units];
  }
}
