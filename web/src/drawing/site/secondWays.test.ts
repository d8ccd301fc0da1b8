import { expect, test } from "vitest";
import type { SitePlan } from "@/api/sites";
import { secondWays } from "./secondWays";

const PLAN = {
  stretches: [
    { number: 1, no_way_round: ["Workshop"] },
    { number: 2, no_way_round: ["Hut", "Mill"] },
  ],
  second_ways: [{ frees: ["Workshop"] }, { frees: ["Hut", "Mill"] }, { frees: ["Hut"] }],
} as unknown as SitePlan;

test("of a stretch those are shown that free whom its cut takes down", () => {
  expect(secondWays(PLAN, 1).map(({ frees }) => frees)).toEqual([["Workshop"]]);
  expect(secondWays(PLAN, 2).map(({ frees }) => frees)).toEqual([["Hut", "Mill"], ["Hut"]]);
});

test("where none is chosen, the one that frees the most", () => {
  expect(secondWays(PLAN, null).map(({ frees }) => frees)).toEqual([["Hut", "Mill"]]);
  expect(secondWays(null, null)).toEqual([]);
});
