import { expect, test } from "vitest";
import { turned } from "./turned";

const FLAT = { alpha: 0, beta: 0, gamma: 0 };

test("one that stays where it is was not turned", () => {
  expect(
    turned({ alpha: 33, beta: 12, gamma: -40 }, { alpha: 33, beta: 12, gamma: -40 }),
  ).toBeCloseTo(0, 4);
});

test("about each of its own edges it is turned by that angle", () => {
  for (const edge of ["alpha", "beta", "gamma"] as const) {
    expect(turned(FLAT, { ...FLAT, [edge]: 30 })).toBeCloseTo(30);
  }
});

test("it counts from the other leg, not from the floor", () => {
  const leaning = { alpha: 0, beta: 25, gamma: 0 };
  expect(turned(leaning, { ...leaning, beta: 70 })).toBeCloseTo(45);
});

test("turned twice it is by less than the sum", () => {
  expect(turned(FLAT, { alpha: 90, beta: 90, gamma: 0 })).toBeCloseTo(120);
});
