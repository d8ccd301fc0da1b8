import { describe, expect, it } from "vitest";
import type { Language } from "@/api/planning";
import type { LineKind } from "@/model/document";
import { wordFor } from "@/model/wording";
import type { Part } from "./kindSpec";
import { bendsName, KINDS } from "./kinds";
import { isWords } from "./usual";

const all = Object.entries(KINDS).map(([kind, spec]) => ({ kind, ...spec }));

/** A sentence to read, its fields as their names in brackets. */
function read(parts: readonly Part[], language: Language = "en-US"): string {
  return parts
    .map((part) => {
      if (isWords(part)) {
        return wordFor(part, language);
      }
      if ("from" in part) {
        return ", from the turn";
      }
      const [kind, value] = Object.entries(part)[0] ?? [];
      return ["length", "word", "fitting", "value"].includes(kind ?? "")
        ? `[${value}]`
        : `[${kind}]`;
    })
    .join("");
}

describe("kinds", () => {
  it.each(all)("$kind asks for every number that a new line lacks", ({ newLine, sentence }) => {
    const lacking = Object.entries(newLine).filter(([, value]) => value === "");
    for (const [field] of lacking) {
      expect(read(sentence)).toContain(`[${field}]`);
    }
  });

  it.each(all)("$kind sends the cursor to a field of its sentence", ({ first, sentence }) => {
    expect(read(sentence)).toContain(`[${first}]`);
  });

  it.each(all)("$kind makes a line of its own kind, and reads as a sentence", (spec) => {
    expect(spec.newLine.kind).toBe(spec.kind);
    for (const parts of [spec.sentence, ...spec.quiet]) {
      for (const language of ["en-US", "en-GB"] as const) {
        expect(read(parts, language)).not.toMatch(/ {2}|\w\[|\][\w[]| [.,]|^ | $/);
      }
    }
  });

  it("reads as it is said", () => {
    expect(read(KINDS.saddle3.quiet[0] ?? [], "en-GB")).toMatch(/^3-bend crossover at \[angle\], /);
    expect(read(KINDS.offset.sentence)).toBe("Step [side] by [rise] [own], [of] [at]");
    expect(read(KINDS.saddle4.sentence)).toBe(
      "Over [rise] high, [width] wide, from [at], going [side]",
    );
    expect(read(KINDS.hole.sentence)).toBe("A hole at [at], its middle [depth] [side]");
  });

  it("offers what is there before the bends, each by a name of its own", () => {
    const groups = all.map(({ group }) => group);
    expect(groups.lastIndexOf("there")).toBeLessThan(groups.indexOf("bends"));
    expect(new Set(all.map(({ label }) => label)).size).toBe(all.length);
  });

  it("hooks the tape anew after what turns the pipe", () => {
    const turning = all.filter(({ endsLeg }) => endsLeg).map(({ kind }) => kind as LineKind);
    expect(turning).toEqual(["wall", "turn"]);
  });

  it("names ways to bend, short where there is little room", () => {
    expect(bendsName("saddle3", "wide", "en-US")).toBe("3-bend saddle");
    expect(bendsName("saddle3", "narrow", "en-US")).toBe("3-bend");
    expect(bendsName("straight", "narrow", "en-US")).toBe("Straight on");
  });

  it("names them as they are called where the job is", () => {
    expect(bendsName("offset", "narrow", "en-GB")).toBe("Set");
    expect(bendsName("saddle3", "wide", "en-GB")).toBe("3-bend crossover");
    expect(bendsName("kick", "wide", "en-GB")).toBe("Kick");
  });
});
