// What a session is held by, of what a program calls itself: what kind of thing, and no maker's name.
import { say } from "@/words/say";

const KINDS: readonly (readonly [RegExp, string])[] = [
  [/Tablet|Pad/, say("A tablet")],
  [/Mobi/, say("A phone")],
  [/^Mozilla\//, say("A computer")],
];

export function deviceInWords(device: string): string {
  return KINDS.find(([is]) => is.test(device))?.[1] ?? say("Another program");
}
