// Trade words that are other words in another language: what a thing is called where the job is.
import type { Country } from "@/api/planning";
import EN_GB from "@/words/en-GB.json";
import EN_US from "@/words/en-US.json";
import type { Units } from "./document";

/** What a word is known by in every language's catalogue. */
export type TermKey = keyof typeof EN_US;

/** Words that are the same in every language, or a term of the catalogues. */
export type Words = string | { readonly term: TermKey };

export type Language = "en-US" | "en-GB";

const CATALOGUES: Record<Language, Record<TermKey, string>> = { "en-US": EN_US, "en-GB": EN_GB };

/** What is spoken where whose rules hold. */
export const LANGUAGE_OF = { us: "en-US", uk: "en-GB" } as const satisfies Record<
  Country,
  Language
>;

/** Whose words those are who measure so, where no job says it. */
export const COUNTRY_OF = { in: "us", mm: "uk" } as const satisfies Record<Units, Country>;

export function term(key: TermKey): Words {
  return { term: key };
}

export function wordFor(words: Words, country: Country): string {
  return typeof words === "string" ? words : CATALOGUES[LANGUAGE_OF[country]][words.term];
}

/** A thing of the catalogue, as it is called in a country. */
export function nameIn(names: Readonly<Record<string, string>>, country: Country): string {
  return names[LANGUAGE_OF[country]] ?? "";
}
