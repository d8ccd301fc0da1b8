import { expect, test } from "vitest";
import type { SitePlan } from "@/api/sites";
import { newSite, type SiteDocument } from "@/model/sites";
import { siteLabels } from "./siteLabels";

/** Ten pixels a metre, the plan's corner at the foot of the window. */
const VIEW = { scale: 10, left: 0, base: 500 };

function plan(stops: readonly object[], stretches: readonly object[]) {
  return {
    stops: stops.map((stop, at) => ({ number: at + 1, place: null, planned: false, ...stop })),
    stretches: stretches.map((each, at) => ({ number: at + 1, ...each })),
  } as unknown as SitePlan;
}

const labels = (of: SitePlan, document: SiteDocument = newSite("mm"), width = 800) =>
  siteLabels(document, of, VIEW, width).map(({ text, at, anchor }) => [text, ...at, anchor]);

test("a name stands to the right of its point and over it, on the other side at the window's edge", () => {
  // At 200, 300: a point is 10 pixels either way.
  const stop = { name: "H1", at: [20, 20] } as const;
  expect(labels(plan([stop], []))).toEqual([["H1", 212, 290, "start"]]);
  expect(labels(plan([stop], []), newSite("mm"), 225)).toEqual([["H1", 188, 290, "end"]]);
});

test("what a stretch is stands over the middle of a leg that lies, beside one that stands", () => {
  const lies = {
    ducts_text: "2 × 100",
    length_text: "20 m",
    line: [
      [10, 20],
      [30, 20],
    ],
  };
  const stands = {
    ...lies,
    line: [
      [10, 10],
      [10, 30],
    ],
  };
  expect(labels(plan([], [lies]))).toEqual([["2 × 100 · 20 m", 200, 292, "middle"]]);
  expect(labels(plan([], [stands]))).toEqual([["2 × 100 · 20 m", 108, 304, "start"]]);
});

test("the longest leg has it; one that a point lies on is left for the next place", () => {
  const line = [
    [10, 10],
    [10, 14],
    [40, 14],
  ];
  const stretch = { ducts_text: "1 × 50", length_text: "34 m", line };
  // The leg that lies is 300 pixels long, its middle at 250, 360.
  expect(labels(plan([], [stretch]))).toEqual([["1 × 50 · 34 m", 250, 352, "middle"]]);
  const there = { name: "", at: [25, 15] } as const;
  expect(labels(plan([there], [stretch]))).toEqual([["1 × 50 · 34 m", 250, 378, "middle"]]);
});

test("a building's name stands in its outline where that is wide enough, else over it", () => {
  const outline = [
    [10, 10],
    [30, 10],
    [30, 20],
    [10, 20],
  ];
  const document = {
    ...newSite("mm"),
    places: [{ name: "Mill", kind: "building", at: [20, 10], outline }],
  } as SiteDocument;
  const stop = { name: "Mill", at: [20, 10], place: 0 } as const;
  // The outline is 200 by 100 pixels about 200, 350; the name is 30 wide.
  expect(labels(plan([stop], []), document)).toEqual([["Mill", 200, 355, "middle"]]);
  const long = { ...stop, name: "Millwrights' store and pattern loft" };
  expect(labels(plan([long], []), document)).toEqual([
    ["Millwrights' store and pattern loft", 200, 294, "middle"],
  ]);
  expect(labels(plan([{ ...stop, planned: true }], []), document)[0]?.[0]).toBe("Mill (planned)");
});

test("no two lie on each other: two names at one place stand either side of it", () => {
  const both = [
    { name: "H1", at: [20, 20] },
    { name: "H2", at: [20, 20] },
  ] as const;
  expect(labels(plan(both, [])).map(([text, x]) => [text, x])).toEqual([
    ["H1", 212],
    ["H2", 188],
  ]);
});
