// A place in an order, in figures.

const ENDINGS: Partial<Record<Intl.LDMLPluralRule, string>> = { one: "st", two: "nd", few: "rd" };
const rules = new Intl.PluralRules("en", { type: "ordinal" });

/** ``4th``. */
export function ordinal(place: number): string {
  return `${place}${ENDINGS[rules.select(place)] ?? "th"}`;
}
