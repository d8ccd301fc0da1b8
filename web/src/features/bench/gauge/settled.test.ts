import { expect, test } from "vitest";
import { halfDegrees, type Settling, settling } from "./settled";

test("what climbs never settles, what wanders by little has", () => {
  let settled: Settling | null = null;
  for (let angle = 0; angle < 90; angle += 1) {
    const before: Settling | null = settled;
    settled = settling(before, angle);
    expect(settled).not.toBe(before);
  }
  const at_rest = settled;
  for (const wander of [0.2, -0.2, 0.1, 0, -0.1]) {
    settled = settling(settled, 89 + wander);
  }
  expect(settled).toBe(at_rest);
});

test("an angle is told as a level shows it", () => {
  expect([89.7, 89.8, 22.4].map(halfDegrees)).toEqual([89.5, 90, 22.5]);
});
