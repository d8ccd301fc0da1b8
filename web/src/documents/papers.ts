// What a sheet can be printed on.

import { say } from "@/words/say";
export const PAPERS = [
  { value: "a4", label: "A4" },
  { value: "letter", label: say("Letter") },
] as const;
export type Paper = (typeof PAPERS)[number]["value"];

/** With one that a whole site goes on. */
export const LARGE_PAPERS = [...PAPERS, { value: "a3", label: "A3" }] as const;
export type LargePaper = (typeof LARGE_PAPERS)[number]["value"];
