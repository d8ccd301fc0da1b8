// Between what is typed into a field and what a document has.

import { say } from "@/words/say";
/** What was typed as a number; as text where it is none, for the core to refuse in words. */
export function asNumber(text: string): number | undefined {
  if (text.trim() === "") {
    return undefined;
  }
  const value = Number(text);
  return Number.isFinite(value) ? value : (text as unknown as number);
}

export function errorProps(problem: string | undefined) {
  return problem ? { problem: say("Expected {expected}", { expected: problem }) } : {};
}
