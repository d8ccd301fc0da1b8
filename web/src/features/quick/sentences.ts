// The bends that are made by themselves, each as a sentence whose numbers are blanks; what is said
// is what the core reads, and what is left out is as it usually is.
import type { Language } from "@/api/planning";
import { term, type Words, wordFor } from "@/model/wording";
import { say } from "@/words/say";

export type Blank = {
  readonly field: string;
  readonly label: Words;
  /** What stands in the sentence before it. */
  readonly before: string;
  readonly after?: string;
  /** What holds where nothing is typed. */
  readonly usual?: string;
};

export type QuickKind = {
  readonly word: Words;
  readonly blanks: readonly Blank[];
  readonly say: (values: Values, language: Language) => string;
};

export type Values = Readonly<Record<string, string>>;

const given = (before: string, value: string | undefined) =>
  value?.trim() ? ` ${before} ${value.trim()}` : "";
const of = (values: Values, field: string) => values[field]?.trim() ?? "";

const RISE = { field: "rise", label: say("How far over"), before: say("of") } as const;
const ANGLE = {
  field: "angle",
  label: say("Angle"),
  before: say("at"),
  after: "°",
  usual: "30",
} as const;

export const QUICK_KINDS = {
  stub: {
    word: term("stub/title"),
    blanks: [
      {
        field: "at",
        label: term("stub/height"),
        before: "",
        after: say("high"),
      },
    ],
    say: (values, language) => `${wordFor(term("stub"), language)} ${of(values, "at")}`,
  },
  leg: {
    word: say("Long leg"),
    blanks: [
      { field: "at", label: say("Length of the leg, to its back"), before: "", after: say("long") },
    ],
    say: (values) => `turn ${of(values, "at")}`,
  },
  offset: {
    word: term("offset/title"),
    blanks: [
      RISE,
      ANGLE,
      {
        field: "at",
        label: say("Where it is fully over"),
        before: say("fully over by"),
        usual: "anywhere",
      },
    ],
    say: (values, language) =>
      `${wordFor(term("offset"), language)} ${of(values, "rise")}${given("by", values.angle)}${given("at", values.at)}`,
  },
  box: {
    word: term("box-offset/title"),
    blanks: [{ ...RISE, label: say("Knockout off the wall") }],
    say: (values, language) => `${wordFor(term("box-offset"), language)} ${of(values, "rise")}`,
  },
  saddle: {
    word: term("saddle/title"),
    blanks: [
      { field: "rise", label: say("Height of what is in the way"), before: say("over") },
      { field: "at", label: say("Its middle"), before: say("at"), usual: "anywhere" },
    ],
    say: (values, language) =>
      `${wordFor(term("saddle"), language)} ${of(values, "rise")}${given("at", values.at)}`,
  },
  kick: {
    word: say("Kick"),
    blanks: [{ ...RISE, label: say("How far the end is carried over") }],
    say: (values) => `kick ${of(values, "rise")}`,
  },
  back: {
    word: say("Back to back"),
    blanks: [
      { field: "at", label: say("From back to back"), before: "", after: say("between the backs") },
    ],
    say: (values) => `back to back ${of(values, "at")}`,
  },
  within: {
    word: term("offset/within"),
    blanks: [
      RISE,
      { field: "within", label: say("The length that there is"), before: say("within") },
    ],
    say: (values, language) =>
      `${wordFor(term("offset"), language)} ${of(values, "rise")}${given("within", values.within)}`,
  },
} as const satisfies Record<string, QuickKind>;

export type QuickName = keyof typeof QUICK_KINDS;
export const QUICK_NAMES = Object.keys(QUICK_KINDS) as QuickName[];

/** Whether every number that has no usual one is there. */
export function isWhole(kind: QuickKind, values: Values): boolean {
  return kind.blanks.every(({ field, usual }) => usual || of(values, field));
}
