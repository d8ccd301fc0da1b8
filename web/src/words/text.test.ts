import { expect, it } from "vitest";
import { sentence, trimmed } from "./text";

it("a sentence begins with a capital, whatever follows", () => {
  expect(["upstand", "3-bend crossover", ""].map(sentence)).toEqual([
    "Upstand",
    "3-bend crossover",
    "",
  ]);
});

it("a figure has two places at most, and none that say nothing", () => {
  expect([29.996, 22.5, 18, 0.005].map(trimmed)).toEqual(["30", "22.5", "18", "0.01"]);
});
