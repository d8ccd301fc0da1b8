import { describe, expect, it } from "vitest";
import golden from "../../../contracts/golden/spread.json";
import { spread } from "./spread";

const apart = (centres: readonly number[], widths: readonly number[]) =>
  centres
    .slice(1)
    .every(
      (centre, i) =>
        centre - (centres[i] ?? 0) >= ((widths[i] ?? 0) + (widths[i + 1] ?? 0)) / 2 - 1e-9,
    );

describe("spread", () => {
  it.each(golden.cases)("$what", ({ wanted, widths, room, centres }) => {
    const found = spread(wanted, widths, room[0] ?? 0, room[1] ?? 0);
    expect(found).toHaveLength(centres.length);
    found.forEach((centre, at) => {
      expect(centre).toBeCloseTo(centres[at] ?? 0, 6);
    });
  });

  it("never lets labels overlap where there is room for all", () => {
    let seed = 7;
    const chance = () => {
      seed = (seed * 48271) % 2147483647;
      return seed / 2147483647;
    };
    for (let round = 0; round < 500; round++) {
      const count = 1 + Math.floor(chance() * 9);
      const widths = Array.from({ length: count }, () => 20 + chance() * 80);
      const wanted = Array.from({ length: count }, () => chance() * 1000).sort((a, b) => a - b);
      const centres = spread(wanted, widths, 0, 1000);
      expect(apart(centres, widths)).toBe(true);
      expect((centres[0] ?? 0) - (widths[0] ?? 0) / 2).toBeGreaterThanOrEqual(-1e-9);
      expect((centres.at(-1) ?? 0) + (widths.at(-1) ?? 0) / 2).toBeLessThanOrEqual(1000 + 1e-9);
    }
  });
});
