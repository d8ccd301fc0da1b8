// What was said at the bench: next, back, repeat, or an angle that was read.

export type Heard =
  | { readonly word: "next" | "back" | "repeat" }
  | { readonly word: "angle"; readonly degrees: number };

const WORDS = {
  next: ["next", "on", "bent", "done"],
  back: ["back", "before"],
  repeat: ["repeat", "again"],
} as const;

/** Degrees that a bend can have. */
const MOST = 170;

/** The last command in what was heard; null where there is none. A number alone is no command: it
 * takes the word with it, so that talk beside the bender moves nothing. */
export function heard(text: string): Heard | null {
  const speech = text.toLowerCase().replaceAll("°", " degrees");
  const angle = /\b(?:angle|kept|stayed)\D{0,20}?(\d{1,3}(?:[.,]\d+)?)( and a half)?/.exec(speech);
  if (angle?.[1]) {
    const degrees = Number(angle[1].replace(",", ".")) + (angle[2] ? 0.5 : 0);
    return degrees > 0 && degrees <= MOST ? { word: "angle", degrees } : null;
  }
  const last = speech.trim().split(/\s+/).at(-1) ?? "";
  for (const [command, words] of Object.entries(WORDS)) {
    if ((words as readonly string[]).includes(last)) {
      return { word: command as keyof typeof WORDS };
    }
  }
  return null;
}
