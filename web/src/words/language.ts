// Which language the page speaks. Another one is its catalogue in this folder.

/** What the page is written in. */
export const WRITTEN_IN = "en";

/** The first of the languages that somebody reads of which there is a catalogue, or English. */
export function languageOf(reads: readonly string[], catalogues: readonly string[]): string {
  for (const language of reads) {
    const spoken = primary(language);
    if (spoken === WRITTEN_IN) {
      break;
    }
    const there =
      catalogues.find((name) => name === language) ??
      catalogues.find((name) => primary(name) === spoken);
    if (there) {
      return there;
    }
  }
  return WRITTEN_IN;
}

function primary(language: string): string {
  return language.toLowerCase().split("-", 1)[0] ?? "";
}
