// A crew's own bender as a form edits it, as it is kept, and as a run carries it.
import type { Schemas } from "@/api/client";
import type { Place } from "./commands";
import type { BenderKind, RunDocument, Units } from "./document";

export type BenderDocument = Schemas["RunDocument_bender_file"];
export type OwnBender = Schemas["RunDocument_own_bender"];
export type TestBend = Schemas["RunDocument_test_bend"];

/** What stands in the form: every number as it was typed, empty where nothing was. */
export type BenderForm = {
  readonly name: string;
  readonly kind: BenderKind;
  readonly by: "tests" | "numbers";
  readonly tests: readonly TestBend[];
  readonly radius: string;
  readonly take_up: string;
  readonly hook: string;
  readonly heel: string;
  readonly commanded: string;
  readonly degrees_per_click: string;
  /** Where the crew works it, where that is not as its kind usually is. */
  readonly place: Place | "usual";
  readonly marks: Readonly<Record<MarkName, string>>;
};

export const MARK_NAMES = ["front", "back", "centre"] as const;
export type MarkName = (typeof MARK_NAMES)[number];

export const NO_TEST: TestBend = { mark: "", stick: "", stub: "", tail: "" };

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
};

const SPRUNG_AT = 90;

export function documentOf(
  form: BenderForm,
  units: Units,
  conduit: RunDocument["conduit"],
): BenderDocument {
  const marks = MARK_NAMES.filter((mark) => form.marks[mark].trim());
  const bender: OwnBender = {
    kind: form.kind,
    ...(form.name.trim() ? { name: form.name.trim() } : {}),
    ...(form.by === "tests"
      ? { tests: [...form.tests] }
      : { radius: form.radius, take_up: form.take_up }),
    ...(form.hook ? { hook: form.hook } : {}),
    ...(form.heel ? { heel: form.heel } : {}),
    ...(form.commanded
      ? { springback: [{ commanded: Number(form.commanded), kept: SPRUNG_AT }] }
      : {}),
    ...(form.degrees_per_click ? { degrees_per_click: Number(form.degrees_per_click) } : {}),
    ...(form.place === "usual" ? {} : { stance: { place: form.place } }),
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
    tests: bender.tests ?? [NO_TEST],
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
  };
}

/** The bender as a run in a unit carries it: the core turned its lengths. */
export function asInRun(kept: Pick<Schemas["BenderDetail"], "carried">, units: Units): OwnBender {
  return units === "in" ? kept.carried.inches : kept.carried.millimetres;
}
