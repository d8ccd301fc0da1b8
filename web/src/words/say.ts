// The page's own words. Each sentence is known by its English, with names in braces for what is put
// into it; a catalogue of this folder says it in another language.
import { languageOf, WRITTEN_IN } from "./language";
import { type Names, parted, type Sentences, type Shown, Speech, type Values } from "./sentences";

const CATALOGUES = import.meta.glob<Sentences>("./*.po", {
  query: "?sentences",
  import: "default",
});

let speech = new Speech(WRITTEN_IN, {});

/** Speaks the first of some languages that there is a catalogue of: to be settled before anything
 *  that says a sentence is loaded. The language's name. */
export async function speak(reads: readonly string[]): Promise<string> {
  const there = Object.keys(CATALOGUES).map((file) => file.slice("./".length, -".po".length));
  const language = languageOf(reads, there);
  const sentences = await CATALOGUES[`./${language}.po`]?.();
  speech = new Speech(language, sentences ?? {});
  return language;
}

/** A sentence, with what its names stand for. */
export function say<const Text extends string>(text: Text, ...given: Values<Text, Shown>): string {
  return parted<Shown>(speech.of(text), given[0]).join("");
}

/** A sentence that counts something: its English for one, and for any other number. */
export function sayOf<const One extends string, const Many extends string>(
  count: number,
  one: One,
  many: Many,
  ...given: Values<One | Many, Shown>
): string {
  return parted<Shown>(speech.ofMany(count, one, many), given[0]).join("");
}

/** A sentence in parts, for whoever draws what its names stand for. */
export function sayParts<
  const Text extends string,
  const Parts extends Readonly<Record<Names<Text>, unknown>>,
>(text: Text, parts: Parts): (string | Parts[keyof Parts])[] {
  return parted(speech.of(text), parts as Readonly<Record<string, Parts[keyof Parts]>>);
}
