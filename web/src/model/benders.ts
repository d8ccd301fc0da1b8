// A crew's own bender as a form edits it, as it is kept, and as a run carries it.
import type { Schemas } from "@/api/client";
import type { Place } from "./commands";
import type { BenderKind, RunDocument, Units } from "./document";
import { withoutEmpty } from "./without";

export type BenderDocument = Schemas["RunDocument_bender_file"];
export type OwnBender = Schemas["RunDocument_own_bender"];
export type MeasuredBend = Schemas["RunDocument_test_bend"];

/** What is typed of a test. */
export const TYPED = ["mark", "stick", "stub", "tail", "angle", "commanded", "clicks"] as const;

/** A measured bend as a form has it; ``of`` which bend of a piece, where the bench measured it. */
export type TestRow = Readonly<Record<(typeof TYPED)[number], string>> &
  Pick<MeasuredBend, "use" | "when" | "who" | "of">;

/** What stands in the form: every number as it was typed, empty where nothing was. */
export type BenderForm = {
  readonly name: string;
  readonly kind: BenderKind;
  readonly by: "tests" | "numbers";
  /** In the order that they were made. */
  readonly tests: readonly TestRow[];
  readonly radius: string;
  readonly take_up: string;
  readonly hook: string;
  readonly heel: string;
  readonly commanded: string;
  readonly degrees_per_click: string;
  /** Where the crew works it, where that is not as its kind usually is. */
  readonly place: Place | "usual";
  readonly marks: Readonly<Record<MarkName, string>>;
  readonly notes: string;
  readonly condition: NonNullable<OwnBender["condition"]> | "unsaid";
  /** The day that it is to be checked by; empty: none. */
  readonly check_due: string;
};

/** Whether a tool is to be checked by a day that has come. Args: today, as 2026-12-31. */
export function isDue(bender: Pick<OwnBender, "check_due">, today: string): boolean {
  return bender.check_due !== undefined && bender.check_due <= today;
}

export const MARK_NAMES = ["front", "back", "centre"] as const;
export type MarkName = (typeof MARK_NAMES)[number];

export const NO_TEST: TestRow = {
  mark: "",
  stick: "",
  stub: "",
  tail: "",
  angle: "",
  commanded: "",
  clicks: "",
};

export const EMPTY_FORM: BenderForm = {
  name: "",
  kind: "hand",
  by: "tests",
  tests: [NO_TEST],
  radius: "",
  take_up: "",
  hook: "",
  heel: "",
  commanded: "",
  degrees_per_click: "",
  place: "usual",
  marks: { front: "", back: "", centre: "" },
  notes: "",
  condition: "unsaid",
  check_due: "",
};

const SPRUNG_AT = 90;

export function documentOf(
  form: BenderForm,
  units: Units,
  conduit: RunDocument["conduit"],
): BenderDocument {
  const marks = MARK_NAMES.filter((mark) => form.marks[mark].trim());
  const tests = form.tests.filter(isRead).map(asMeasured);
  const bender: OwnBender = {
    kind: form.kind,
    ...(form.name.trim() ? { name: form.name.trim() } : {}),
    // Beside tests these are what is stamped on it, and may be left open.
    ...(form.radius || form.by === "numbers" ? { radius: form.radius } : {}),
    ...(form.take_up || form.by === "numbers" ? { take_up: form.take_up } : {}),
    ...(form.by === "tests" ? { tests } : {}),
    ...(form.hook ? { hook: form.hook } : {}),
    ...(form.heel ? { heel: form.heel } : {}),
    ...(form.commanded
      ? { springback: [{ commanded: Number(form.commanded), kept: SPRUNG_AT }] }
      : {}),
    ...(form.degrees_per_click ? { degrees_per_click: Number(form.degrees_per_click) } : {}),
    ...(form.place === "usual" ? {} : { stance: { place: form.place } }),
    ...(form.notes.trim() ? { notes: form.notes.trim() } : {}),
    ...(form.condition === "unsaid" ? {} : { condition: form.condition }),
    ...(form.check_due ? { check_due: form.check_due } : {}),
    ...(marks.length
      ? { marks: Object.fromEntries(marks.map((mark) => [mark, form.marks[mark].trim()])) }
      : {}),
  };
  return { format: "yarrow.bender/1", units, conduit, bender };
}

export function formOf(document: BenderDocument): BenderForm {
  const { bender } = document;
  const text = (value: unknown) => (value === undefined ? "" : String(value));
  return {
    name: bender.name ?? "",
    kind: bender.kind,
    by: bender.tests ? "tests" : "numbers",
    tests: bender.tests?.map(asRow) ?? [NO_TEST],
    radius: text(bender.radius),
    take_up: text(bender.take_up),
    hook: text(bender.hook),
    heel: text(bender.heel),
    commanded: text(bender.springback?.[0]?.commanded),
    degrees_per_click: text(bender.degrees_per_click),
    place: bender.stance?.place ?? "usual",
    marks: {
      front: bender.marks?.front ?? "",
      back: bender.marks?.back ?? "",
      centre: bender.marks?.centre ?? "",
    },
    notes: bender.notes ?? "",
    condition: bender.condition ?? "unsaid",
    check_due: bender.check_due ?? "",
  };
}

/** Whether anything stands in a row. */
export function isRead(row: TestRow): boolean {
  return TYPED.some((name) => row[name].trim());
}

/** A bend without what was left empty; numbers as such, where they are some. */
function asMeasured({ use, when, who, of, ...row }: TestRow): MeasuredBend {
  const read = TYPED.filter((name) => row[name].trim()).map((name) => [
    name,
    NUMBERS.has(name) && !Number.isNaN(Number(row[name])) ? Number(row[name]) : row[name],
  ]);
  return { ...(Object.fromEntries(read) as MeasuredBend), ...withoutEmpty({ use, when, who, of }) };
}

const NUMBERS: ReadonlySet<string> = new Set(["angle", "commanded", "clicks"]);

function asRow(bend: MeasuredBend): TestRow {
  const { use, when, who, of } = bend;
  const typed = TYPED.map((name) => [name, String(bend[name] ?? "")]);
  return { ...NO_TEST, ...Object.fromEntries(typed), ...withoutEmpty({ use, when, who, of }) };
}

/** A form as a draft of an earlier day has it, with what was not asked of a test then. */
export function asForm(draft: BenderForm): BenderForm {
  return { ...EMPTY_FORM, ...draft, tests: draft.tests.map((row) => ({ ...NO_TEST, ...row })) };
}

/** The bender as a run in a unit carries it: the core turned its lengths. */
export function asInRun(kept: Pick<Schemas["BenderDetail"], "carried">, units: Units): OwnBender {
  return units === "in" ? kept.carried.inches : kept.carried.millimetres;
}

/** One of the crew's own, as a run takes it along. */
export type KeptBender = {
  readonly id: string;
  readonly name: string;
  readonly own: Exclude<RunDocument["bender"], string>;
};

/** Which of the crew's own a run's bender is; by its name too, since a run may come from elsewhere. */
export function keptBenderOf(
  kept: readonly KeptBender[],
  bender: RunDocument["bender"],
): KeptBender | undefined {
  return typeof bender === "string" || bender.kept === undefined
    ? undefined
    : kept.find(({ own }) => own.kept === bender.kept && own.name === bender.name);
}
