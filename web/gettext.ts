// Gettext catalogues as modules: `<language>.po?terms`, the trade's words by what they are known by,
// and `<language>.po?sentences`, what the page says by its English: one form, or one for each plural.
import { readFile } from "node:fs/promises";
import { po } from "gettext-parser";
import type { Plugin } from "vite";

const CATALOGUE = /^(.*\.po)\?(terms|sentences)$/;
/** What marks a trade's word in a catalogue. */
const TERM = "term";

export function gettext(): Plugin {
  return {
    name: "gettext",
    async load(id) {
      const [, file, what] = CATALOGUE.exec(id) ?? [];
      if (!file) {
        return null;
      }
      this.addWatchFile(file);
      const catalogue = readCatalogue(await readFile(file));
      const asked = what === "terms" ? catalogue.terms : catalogue.sentences;
      return `export default ${JSON.stringify(asked)};`;
    },
  };
}

export type Catalogue = {
  readonly terms: Record<string, string>;
  readonly sentences: Record<string, readonly string[]>;
};

/** A catalogue's text; what nobody has said in that language yet is left out. */
export function readCatalogue(text: Buffer | string): Catalogue {
  const { translations } = po.parse(text);
  const terms = Object.values(translations[TERM] ?? {}).map(
    ({ msgid, msgstr }) => [msgid, msgstr[0] ?? ""] as const,
  );
  const sentences = Object.values(translations[""] ?? {})
    .filter(({ msgid, msgstr }) => msgid && msgstr.every(Boolean))
    .map(({ msgid, msgstr }) => [msgid, msgstr] as const);
  return { terms: Object.fromEntries(terms), sentences: Object.fromEntries(sentences) };
}
