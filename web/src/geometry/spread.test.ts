import { describe, expect, it } from "vitest";
import { spread } from "./spread";

const apart = (centres: readonly number[], widths: readonly number[]) =>
  centres
    .slice(1)
    .every(
      (centre, i) =>
        centre - (centres[i] ?? 0) >= ((widths[i] ?? 0) + (widths[i + 1] ?? 0)) / 2 - 1e-9,
    );

describe("spread", () => {
  it("leaves labels with room where they belong", () => {
    expect(spread([50, 200, 400], [40, 40, 40], 0, 500)).toEqual([50, 200, 400]);
  });

  it("moves two that collide by the same", () => {
    expect(spread([100, 110], [40, 40], 0, 500)).toEqual([85, 125]);
  });

  it("keeps labels within the room at both ends", () => {
    expect(spread([2, 498], [40, 40], 0, 500)).toEqual([20, 480]);
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
