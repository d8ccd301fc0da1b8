import { describe, expect, it } from "vitest";
import { bounds, fitInto, viewsOf } from "@/geometry/views";
import { GOLDEN } from "@/model/golden.test-data";
import { layOutDimensions } from "./dimensionLayout";
import { allPoints } from "./points";

const [view] = viewsOf(GOLDEN);
if (!view) {
  throw new Error("no view");
}
const { place } = fitInto(bounds(allPoints(GOLDEN, view)), {
  left: 60,
  right: 600,
  top: 40,
  bottom: 300,
});
const { rows, lines } = layOutDimensions(GOLDEN, view, place);

describe("dimension lines", () => {
  it("show every number of the walk", () => {
    expect(lines.map(({ text }) => text).toSorted()).toEqual(["33", "34 1/8", "4 3/8", "71 5/8"]);
  });

  it("go below where they run along, the shorter nearer", () => {
    const level = lines.filter(({ upright }) => !upright);
    expect(level.map(({ text }) => text)).toEqual(["33", "71 5/8"]);
    expect(rows).toBe(2);
    expect(level[1]?.from[1]).toBeGreaterThan(level[0]?.from[1] ?? 0);
    for (const { from, to } of level) {
      expect(from[1]).toBe(to[1]);
      expect(from[1]).toBeGreaterThan(300);
    }
  });

  it("stand beside where they are upright, at the heights that they measure", () => {
    for (const { from, to, ends } of lines.filter(({ upright }) => upright)) {
      expect(from[0]).toBe(to[0]);
      expect([from[1], to[1]]).toEqual([ends[0][1], ends[1][1]]);
    }
  });

  it("are as long as what they say, at the scale of the view", () => {
    const along = lines.find(({ text }) => text === "33");
    const whole = lines.find(({ text }) => text === "71 5/8");
    const length = (line: typeof along) => Math.abs((line?.to[0] ?? 0) - (line?.from[0] ?? 0));
    expect(length(along) / length(whole)).toBeCloseTo(33 / 71.625, 6);
  });

  it("leave out what is too short to be read, once there is a scale", () => {
    const texts = (of: typeof place | undefined) =>
      layOutDimensions(GOLDEN, view, of).lines.map(({ text }) => text);
    // At a pixel an inch 4 3/8 is less than six pixels.
    expect(texts(([x, y]) => [x, y])).toEqual(["33", "71 5/8", "34 1/8"]);
    expect(texts(undefined)).toContain("4 3/8");
  });
});
