// What can be read of a bend that is made: what it is called, and how it is typed.
import type { Language } from "@/api/planning";
import type { Readings } from "@/model/bench";
import type { Units } from "@/model/document";
import { term, wordFor } from "@/model/wording";
import { say } from "@/words/say";
import { sentence, trimmed } from "@/words/text";

/** A reading by its name in a document. */
export type Reading = Exclude<keyof Readings, "mended" | "as_is" | "done">;

/** What a reading's words go by: the job, and how far the bend is to turn, degrees. */
export type ReadOf = { language: Language; units: Units; angle: number | undefined };

type Typing = {
  label: (of: ReadOf) => string;
  placeholder: (of: ReadOf) => string;
  degrees?: true;
};

const ROWS: Record<Reading, Typing> = {
  angle: {
    label: () => say("Angle that stayed, °"),
    placeholder: ({ angle }) => (angle === undefined ? "" : trimmed(angle)),
    degrees: true,
  },
  stub: {
    label: ({ language }) =>
      say("{stub}, to its back", { stub: sentence(wordFor(term("stub"), language)) }),
    placeholder: () => say("as marked"),
  },
  height: {
    label: ({ language }) =>
      say("Height of the {offset}", { offset: wordFor(term("offset"), language) }),
    placeholder: () => say("centre to centre"),
  },
  distance: { label: () => say("Back to back"), placeholder: () => say("of the two") },
  slid: {
    label: ({ units }) => say("Mark slid to the end, {units}", { units }),
    placeholder: () => say("− to the start"),
  },
  twist: {
    label: () => say("Twisted, ° clockwise"),
    placeholder: () => say("from its start"),
    degrees: true,
  },
};

/** In the order that they are asked in. */
export const READINGS = Object.keys(ROWS) as Reading[];

/** How a reading is asked for. */
export function typingOf(name: Reading): Typing {
  return ROWS[name];
}

/** What was typed, without what is empty: degrees as numbers where they are some. */
export function readingsOf(typed: Readonly<Partial<Record<Reading, string>>>): Readings {
  const filled = READINGS.filter((name) => typed[name]?.trim());
  return Object.fromEntries(
    filled.map((name) => {
      const text = typed[name] ?? "";
      const number = Number(text.replace(",", ".").replace("°", "").replace("−", "-"));
      return [name, ROWS[name].degrees && !Number.isNaN(number) ? number : text];
    }),
  );
}
