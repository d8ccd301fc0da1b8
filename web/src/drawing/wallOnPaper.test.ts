import { expect, test } from "vitest";
import { asideOf } from "./wallOnPaper";

test("labels of lines that are near each other go apart, each from where it is", () => {
  // 6 apart, 13 a label: half of the 7 that they lie over each other, each way.
  expect(asideOf([100, 106, 300])).toEqual([-3.5, 3.5, 0]);
  expect(asideOf([106, 100])).toEqual([3.5, -3.5]);
});

test("labels that have room stay at their lines", () => {
  expect(asideOf([300, 20])).toEqual([0, 0]);
  expect(asideOf([])).toEqual([]);
});
