import { describe, expect, it } from "vitest";
import { isWhole, QUICK_KINDS, QUICK_NAMES, type QuickKind } from "./sentences";

describe("a quick bend's sentence", () => {
  it.each([
    ["stub", { at: " 18 3/8 " }, "stub 18 3/8"],
    ["leg", { at: "71 5/8" }, "turn 71 5/8"],
    ["offset", { rise: "4 3/8" }, "offset 4 3/8"],
    ["offset", { rise: "4 3/8", angle: "22.5", at: "33" }, "offset 4 3/8 by 22.5 at 33"],
    ["saddle", { rise: "1 3/4", at: "53" }, "saddle 1 3/4 at 53"],
    ["back", { at: "44" }, "back to back 44"],
    ["within", { rise: "3", within: "16" }, "offset 3 within 16"],
    ["box", { rise: "7/16" }, "box offset 7/16"],
    ["kick", { rise: "1 1/8" }, "kick 1 1/8"],
  ] as const)("says %s", (name, values, said) => {
    expect((QUICK_KINDS[name] as QuickKind).say(values, "en-US")).toBe(said);
    expect(isWhole(QUICK_KINDS[name], values)).toBe(true);
  });

  it.each([
    ["stub", { at: "450" }, "upstand 450"],
    ["offset", { rise: "110", at: "840" }, "set 110 at 840"],
    ["saddle", { rise: "42" }, "crossover 42"],
    ["box", { rise: "11" }, "box set 11"],
  ] as const)("says %s in the words of the other language", (name, values, said) => {
    expect((QUICK_KINDS[name] as QuickKind).say(values, "en-GB")).toBe(said);
  });

  it("is not whole without a number that has no usual one", () => {
    for (const name of QUICK_NAMES) {
      expect(isWhole(QUICK_KINDS[name], {})).toBe(false);
    }
    expect(isWhole(QUICK_KINDS.within, { rise: "3" })).toBe(false);
  });
});
