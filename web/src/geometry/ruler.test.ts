import { describe, expect, it } from "vitest";
import { ruler } from "./ruler";

const labels = (ticks: ReturnType<typeof ruler>) => ticks.map(({ label }) => label).filter(Boolean);

describe("ruler", () => {
  it("tells feet where inches would be too close", () => {
    expect(labels(ruler("in", 0, 30, 10))).toEqual(["0'", "1'", "2'"]);
  });

  it("tells every inch where there is room, feet as feet", () => {
    expect(labels(ruler("in", 10, 14, 60))).toEqual(["10", "11", "1'", "13", "14"]);
  });

  it("has long ticks at every foot and every half metre", () => {
    expect(ruler("in", 0, 24, 10).filter(({ long }) => long)).toHaveLength(3);
    expect(ruler("mm", 0, 1000, 0.5).filter(({ long }) => long)).toHaveLength(3);
  });
});
