// How words and figures are put into text, whatever they are of.

/** A word or a phrase as a sentence begins with it. */
export function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A figure to two places at most, none that say nothing. */
export function trimmed(value: number): string {
  return String(Number(value.toFixed(2)));
}
