// Trade words that are other words in another country: what a thing is called where the job is.
import type { Country } from "@/api/planning";
import type { Units } from "./document";

/** A word for both countries, or each country's own. */
export type CountryWords = string | Readonly<Record<Country, string>>;

export function wordFor(words: CountryWords, country: Country): string {
  return typeof words === "string" ? words : words[country];
}

/** Whose words those are who measure so, where no job says it. */
export const COUNTRY_OF = { in: "us", mm: "uk" } as const satisfies Record<Units, Country>;

/** A fitting of the catalogue, as it is called in a country. */
export function fittingName(names: { name: string; name_uk: string }, country: Country): string {
  return country === "uk" ? names.name_uk : names.name;
}

/** The words of the trade that several screens say. */
export const TRADE = {
  boxOffset: { us: "box offset", uk: "box set" },
  conduitBody: { us: "conduit body", uk: "inspection fitting" },
  connector: { us: "connector", uk: "gland or bush" },
  earth: { us: "ground", uk: "earth" },
  offset: { us: "offset", uk: "set" },
  raceway: { us: "raceway", uk: "conduit" },
  ringsAndBushes: { us: "Locknuts and bushings", uk: "Lock rings and bushes" },
  saddle: { us: "saddle", uk: "crossover" },
  strap: { us: "strap", uk: "saddle" },
  stub: { us: "stub", uk: "upstand" },
} as const satisfies Record<string, CountryWords>;
