// How far a number may come out, by one of the habits.
import type { Plan } from "./document";

export type Expected = Plan["expected"][number];
export type Marking = Plan["marking"];

export function halfOf(expected: Expected, marking: Marking): number {
  return marking === "flat" ? expected.flat : expected.as_you_go;
}

export function halfText(expected: Expected, marking: Marking): string {
  return marking === "flat" ? expected.flat_text : expected.as_you_go_text;
}

export function otherHabit(marking: Marking): Marking {
  return marking === "flat" ? "as-you-go" : "flat";
}

/** The widest band of a run, by either habit. */
export function widestOf(expected: readonly Expected[]): number {
  return Math.max(...expected.flatMap(({ flat, as_you_go }) => [flat, as_you_go]), Number.EPSILON);
}
