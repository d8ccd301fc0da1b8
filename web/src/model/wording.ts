// Trade words that are other words in another language: what a thing is called where the job is.
import type { Language, Rules } from "@/api/planning";
import BOOKS from "@/words/rulebooks.json";
import type { Units } from "./document";

/** What a word is known by in every language's catalogue. */
export const TERMS = [
  "box-offset",
  "box-offset/title",
  "conduit-body",
  "connector",
  "connector/straight",
  "earth",
  "offset",
  "offset/title",
  "offset/within",
  "raceway",
  "rings-and-bushes",
  "saddle",
  "saddle/title",
  "saddle/three-bends",
  "saddle/four-bends",
  "strap",
  "stub",
  "stub/title",
  "stub/height",
] as const;
export type TermKey = (typeof TERMS)[number];

/** Words that are the same in every language, or a term of the catalogues. */
export type Words = string | { readonly term: TermKey };

const CATALOGUES = import.meta.glob<Record<TermKey, string>>("../words/*.po", {
  query: "?terms",
  import: "default",
  eager: true,
});

interface RuleBook {
  readonly code: string;
  readonly where: string;
  readonly units: Units;
  readonly language: Language;
  readonly wires: Readonly<Record<string, string>>;
}

/** Whose code holds on a job, as the core has it. */
export const RULEBOOKS = BOOKS as Record<Rules, RuleBook>;

/** Whose code holds where nothing says so: the one whose units those are. */
export function usualRules(units: Units): Rules {
  const names = Object.keys(RULEBOOKS) as Rules[];
  return names.find((name) => RULEBOOKS[name].units === units) ?? "us";
}

/** What is spoken where those units are usual, where no job says it. */
export const LANGUAGE_OF: Record<Units, Language> = {
  in: RULEBOOKS[usualRules("in")].language,
  mm: RULEBOOKS[usualRules("mm")].language,
};

export function term(key: TermKey): Words {
  return { term: key };
}

export function wordFor(words: Words, language: Language): string {
  return typeof words === "string"
    ? words
    : (CATALOGUES[`../words/${language}.po`]?.[words.term] ?? words.term);
}

/** A thing of the catalogue, as it is called in a language. */
export function nameIn(names: Readonly<Record<string, string>>, language: Language): string {
  return names[language] ?? "";
}
