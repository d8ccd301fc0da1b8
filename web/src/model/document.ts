// The run document as the page edits it: what was typed, exactly as it was typed.
import type { Schemas } from "@/api/client";
import { say } from "@/words/say";

export type RunDocument = Schemas["RunDocument"];
export type Line = Schemas["RunDocument_line"];
export type LineKind = Line["kind"];
export type LineOf<K extends LineKind> = Extract<Line, { kind: K }>;
export type Toward = Schemas["RunDocument_toward"];
export type Datum = Schemas["RunDocument_datum"];
export type Units = RunDocument["units"];
export type FittingKind = Schemas["RunDocument_fitting"];
export type Plan = Schemas["WrittenPlan"];
export type Finding = Schemas["WrittenFinding"];
export type Mark = Schemas["Mark"];
export type Choice = Schemas["Choice"];
export type Candidate = Schemas["CandidateView"];
export type BenderKind = Schemas["PlannedBender"]["kind"];
export type Way = Schemas["PlannedBender"]["way"];
export type Marking = Plan["marking"];
export type FoundMark = Schemas["FoundMark"];

/** A length field as text: numbers of an imported file are shown as they stand there. */
export function asText(value: string | number | undefined): string {
  return value === undefined ? "" : String(value);
}

const NO_WALK: readonly Line[] = [];

export function walkOf(document: RunDocument): readonly Line[] {
  return document.walk ?? NO_WALK;
}

/** The numbers of a line that may float until both ends meet. */
export function looseOf(line: Line): readonly string[] {
  return "loose" in line ? (line.loose ?? []) : [];
}

/** Whether no finding is an error. */
export function canBeMade(plan: Plan): boolean {
  return plan.findings.every(({ level }) => level !== "error");
}

/** The marks to put on a pipe: none where the run can't be made. */
export function workingMarks(plan: Plan): readonly Mark[] {
  return canBeMade(plan) ? plan.marks : [];
}

/** Where a bend's mark is found on the piece as it is by then; of null, the cut. */
export function foundMark(found: readonly FoundMark[], bend: number | null): FoundMark | undefined {
  return found.find((mark) => mark.bend === bend);
}

/** Whether a tape finds a mark on bent pipe: what lies on straight pipe is the mark itself. */
export function isOnBentPipe(found: FoundMark | undefined): found is FoundMark {
  return typeof found?.parallel_to === "number";
}

/** What a tape has to show at a mark once the pipe is bent. */
export function onBentPipe({ at_mark_text, where }: FoundMark): string {
  return say("bent, it lies {reads} {where}", { reads: at_mark_text, where });
}

/** The bends that something is wrong with, and how gravely. */
export function troubledBends(plan: Plan): ReadonlyMap<number, "error" | "warning"> {
  const found = new Map<number, "error" | "warning">();
  // Findings come gravest first: the first word about a bend stands.
  for (const { level, bends } of plan.findings) {
    for (const bend of bends) {
      if (level !== "note" && !found.has(bend)) {
        found.set(bend, level);
      }
    }
  }
  return found;
}

export const ROUNDINGS = { in: ["1/8", "1/16", "1/32"], mm: ["1"] } as const;
export const USUAL_ROUNDING = { in: "1/16", mm: "1" } as const;

/** The tape's marks in use; the usual ones where a run that was converted names the other tape. */
export function roundingOf(units: Units, rounding: RunDocument["round_to"]): string {
  const known: readonly string[] = ROUNDINGS[units];
  const text = asText(rounding);
  return known.includes(text) ? text : USUAL_ROUNDING[units];
}

/** A run with nothing measured yet. */
export function emptyRun(
  name: string,
  units: Units,
  conduit: RunDocument["conduit"],
  bender: string,
): RunDocument {
  return {
    format: "yarrow.run/1",
    name,
    units,
    round_to: USUAL_ROUNDING[units],
    conduit,
    bender,
    method: "exact",
    start: { kind: "connector" },
    walk: [{ kind: "end", at: units === "in" ? "36" : "900", from: "back", fitting: "connector" }],
  };
}
