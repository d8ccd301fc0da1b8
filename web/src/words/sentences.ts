// Sentences with figures in them: how a catalogue's are found, and how figures are put in.

/** The names in braces of a sentence. */
export type Names<Text extends string> = Text extends `${string}{${infer Name}}${infer Rest}`
  ? Name | Names<Rest>
  : never;

/** What stands in a sentence for its names; nothing where it has none. */
export type Values<Text extends string, Value> = [Names<Text>] extends [never]
  ? []
  : [values: Readonly<Record<Names<Text>, Value>>];

export type Shown = string | number;

/** What a language says for each English sentence: one form, or one for each of its plurals. */
export type Sentences = Readonly<Record<string, readonly string[]>>;

const NAME = /\{(\w+)\}/;
/** As a catalogue has its plurals in order. */
const PLURALS: readonly Intl.LDMLPluralRule[] = ["zero", "one", "two", "few", "many", "other"];

/** What one language says. */
export class Speech {
  readonly #sentences: Sentences;
  readonly #rules: Intl.PluralRules;

  constructor(language: string, sentences: Sentences) {
    this.#sentences = sentences;
    this.#rules = new Intl.PluralRules(language);
  }

  /** A sentence, its names still in braces. */
  of(english: string): string {
    return this.#sentences[english]?.[0] ?? english;
  }

  /** The sentence for so many of what it counts. */
  ofMany(count: number, one: string, many: string): string {
    const forms = this.#sentences[one];
    if (!forms) {
      return count === 1 ? one : many;
    }
    const used = this.#rules.resolvedOptions().pluralCategories;
    const order = PLURALS.filter((plural) => used.includes(plural));
    return forms[order.indexOf(this.#rules.select(count))] ?? forms.at(-1) ?? many;
  }
}

/** A sentence cut at its names, with what stands for them; a name that nothing is for stays. */
export function parted<Value>(
  text: string,
  values: Readonly<Record<string, Value>> = {},
): (string | Value)[] {
  return text
    .split(NAME)
    .map((part, at) => (at % 2 ? (part in values ? (values[part] as Value) : `{${part}}`) : part))
    .filter((part) => part !== "");
}
