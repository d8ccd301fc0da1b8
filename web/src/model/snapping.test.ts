import { describe, expect, it } from "vitest";
import { newSite, type SiteDocument } from "./sites";
import { snapped } from "./snapping";

/** A trench of a straight leg and one of 3-4-5, and a hut with its entry beside it. */
const SITE: SiteDocument = {
  ...newSite("mm"),
  places: [{ name: "Hut", kind: "building", at: [30, 5], entries: [[33, 5]] }],
  trenches: [
    {
      name: "T1",
      line: [
        [0, 0],
        [10, 0],
      ],
    },
    {
      name: "T2",
      line: [
        [20, 10],
        [24, 13],
      ],
    },
  ],
};

describe("a point of a plan", () => {
  it("lands on the nearer of two points, an entry as well", () => {
    expect(snapped(SITE, [31.4, 5], 2)).toEqual({ at: [30, 5], on: "point" });
    expect(snapped(SITE, [31.6, 5], 2)).toEqual({ at: [33, 5], on: "point" });
  });

  it("lands on the foot of its square to a trench that lies aslant", () => {
    // From the middle of 20,10 to 24,13 half a metre square to it: 22 − 0.3, 11.5 + 0.4.
    expect(snapped(SITE, [21.7, 11.9], 0.6)).toEqual({ at: [22, 11.5], on: "trench" });
    // A quarter of the way along: 21, 10.75.
    expect(snapped(SITE, [20.7, 11.15], 0.6)).toEqual({ at: [21, 10.75], on: "trench" });
  });

  it("lands on no trench beyond its end", () => {
    expect(snapped(SITE, [10.9, 0.3], 0.5)).toEqual({ at: [10.9, 0.3], on: "free" });
    expect(snapped(SITE, [-0.9, 0.3], 0.5)).toEqual({ at: [-0.9, 0.3], on: "free" });
  });

  it("goes on square to a leg that lies aslant, and is as far along as it was", () => {
    // From 40,40 to 43,44; ten metres square to the left of that lie at 35,50.
    const drawn = [
      [40, 40],
      [43, 44],
    ] as const;
    expect(snapped(SITE, [35, 50], 1, drawn)).toEqual({ at: [35, 50], on: "square" });
    // Half a metre off, along the leg: 0.3 and 0.4.
    expect(snapped(SITE, [35.3, 50.4], 1, drawn)).toEqual({ at: [35, 50], on: "square" });
    // To the right of it.
    expect(snapped(SITE, [51, 38], 1, drawn)).toEqual({ at: [51, 38], on: "square" });
  });

  it("goes along an axis where it is not square to the leg before", () => {
    const drawn = [
      [40, 40],
      [43, 44],
    ] as const;
    expect(snapped(SITE, [55, 44.6], 1, drawn)).toEqual({ at: [55, 44], on: "square" });
    expect(snapped(SITE, [55, 47.04], 1, drawn)).toEqual({ at: [55, 47], on: "free" });
  });

  it("may stop anywhere on the trench that it is a point of", () => {
    expect(snapped(SITE, [10.2, 0.14], 1, [], [10, 0])).toEqual({ at: [10.2, 0.1], on: "free" });
  });
});
