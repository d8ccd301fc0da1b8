// A whole number while it is typed.

/** A whole number; or what was typed instead, which the core refuses in words. */
export function wholeNumber(text: string): number {
  const number = Number(text);
  return text.trim() && Number.isInteger(number) ? number : (text as never);
}
