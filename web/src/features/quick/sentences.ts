// The bends that are made by themselves, each as a sentence whose numbers are blanks; what is said
// is what the core reads, and what is left out is as it usually is.
import type { Country } from "@/api/planning";
import { type CountryWords, TRADE, wordFor } from "@/model/wording";

export type Blank = {
  readonly field: string;
  readonly label: CountryWords;
  /** What stands in the sentence before it. */
  readonly before: string;
  readonly after?: string;
  /** What holds where nothing is typed. */
  readonly usual?: string;
};

export type QuickKind = {
  readonly word: CountryWords;
  readonly blanks: readonly Blank[];
  readonly say: (values: Values, country: Country) => string;
};

export type Values = Readonly<Record<string, string>>;

const given = (before: string, value: string | undefined) =>
  value?.trim() ? ` ${before} ${value.trim()}` : "";
const of = (values: Values, field: string) => values[field]?.trim() ?? "";

const RISE = { field: "rise", label: "How far over", before: "of" } as const;
const ANGLE = { field: "angle", label: "Angle", before: "at", after: "°", usual: "30" } as const;

export const QUICK_KINDS = {
  stub: {
    word: { us: "Stub", uk: "Upstand" },
    blanks: [
      {
        field: "at",
        label: { us: "Height of the stub", uk: "Height of the upstand" },
        before: "",
        after: "high",
      },
    ],
    say: (values, country) => `${wordFor(TRADE.stub, country)} ${of(values, "at")}`,
  },
  leg: {
    word: "Long leg",
    blanks: [{ field: "at", label: "Length of the leg, to its back", before: "", after: "long" }],
    say: (values) => `turn ${of(values, "at")}`,
  },
  offset: {
    word: { us: "Offset", uk: "Set" },
    blanks: [
      RISE,
      ANGLE,
      { field: "at", label: "Where it is fully over", before: "fully over by", usual: "anywhere" },
    ],
    say: (values, country) =>
      `${wordFor(TRADE.offset, country)} ${of(values, "rise")}${given("by", values.angle)}${given("at", values.at)}`,
  },
  box: {
    word: { us: "Box offset", uk: "Box set" },
    blanks: [{ ...RISE, label: "Knockout off the wall" }],
    say: (values, country) => `${wordFor(TRADE.boxOffset, country)} ${of(values, "rise")}`,
  },
  saddle: {
    word: { us: "Saddle", uk: "Crossover" },
    blanks: [
      { field: "rise", label: "Height of what is in the way", before: "over" },
      { field: "at", label: "Its middle", before: "at", usual: "anywhere" },
    ],
    say: (values, country) =>
      `${wordFor(TRADE.saddle, country)} ${of(values, "rise")}${given("at", values.at)}`,
  },
  kick: {
    word: "Kick",
    blanks: [{ ...RISE, label: "How far the end is carried over" }],
    say: (values) => `kick ${of(values, "rise")}`,
  },
  back: {
    word: "Back to back",
    blanks: [{ field: "at", label: "From back to back", before: "", after: "between the backs" }],
    say: (values) => `back to back ${of(values, "at")}`,
  },
  within: {
    word: { us: "Offset into a length", uk: "Set into a length" },
    blanks: [RISE, { field: "within", label: "The length that there is", before: "within" }],
    say: (values, country) =>
      `${wordFor(TRADE.offset, country)} ${of(values, "rise")}${given("within", values.within)}`,
  },
} as const satisfies Record<string, QuickKind>;

export type QuickName = keyof typeof QUICK_KINDS;
export const QUICK_NAMES = Object.keys(QUICK_KINDS) as QuickName[];

/** Whether every number that has no usual one is there. */
export function isWhole(kind: QuickKind, values: Values): boolean {
  return kind.blanks.every(({ field, usual }) => usual || of(values, field));
}
