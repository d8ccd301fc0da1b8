import { expect, test } from "vitest";
import {
  addPlace,
  addTrench,
  legsOf,
  measurePicture,
  movePoint,
  newSite,
  pixelAt,
  removePlace,
  type SiteDocument,
  setLeg,
  setPlace,
  setTick,
} from "./sites";
import { snapped } from "./snapping";

const GROUNDS: SiteDocument = {
  ...newSite("mm"),
  places: [
    {
      name: "Hut",
      kind: "building",
      at: [0, 0],
      outline: [
        [-5, 0],
        [5, 0],
        [5, 8],
      ],
    },
    { name: "H1", kind: "hand-hole", at: [40, 0] },
  ],
  trenches: [
    {
      name: "T1",
      line: [
        [0, 0],
        [40, 0],
        [40, 30],
      ],
    },
  ],
  cables: [{ from: "H1", to: "Hut", kind: "fibre", diameter: 12, via: ["H1"] }],
};

test("a point is moved with everything that lies on it, a building with its outline", () => {
  const moved = movePoint([0, 0], [2, 1])(GROUNDS);
  expect(moved.places[0]?.at).toEqual([2, 1]);
  expect(moved.places[0]?.outline?.[0]).toEqual([-3, 1]);
  expect(moved.trenches[0]?.line).toEqual([
    [2, 1],
    [40, 0],
    [40, 30],
  ]);
  expect(moved.places[1]).toEqual(GROUNDS.places[1]);
});

test("a place that is called otherwise is called so by its cables; taken out, it takes them along", () => {
  const named = setPlace(1, { name: "Gate" })(GROUNDS);
  expect(named.cables?.[0]).toMatchObject({ from: "Gate", to: "Hut", via: ["Gate"] });
  expect(removePlace(0)(GROUNDS).cables).toEqual([]);
});

test("new places and trenches have names of their own", () => {
  const more = addTrench([
    [0, 0],
    [9, 9],
  ])(addPlace("hand-hole", [7, 7])(GROUNDS));
  expect(more.places.at(-1)).toEqual({ name: "H2", kind: "hand-hole", at: [7, 7] });
  expect(more.trenches.at(-1)?.name).toBe("T2");
  expect(addPlace("hand-hole", [7, 7], "P4")(GROUNDS).places.at(-1)?.name).toBe("P4");
});

test("legs are read by their lengths and turns, and typed", () => {
  expect(legsOf(GROUNDS.trenches[0]?.line ?? [])).toEqual([
    { length: 40, turn: 0 },
    { length: 30, turn: 90 },
  ]);
  const longer = setLeg(0, 0, { length: 50 })(GROUNDS);
  expect(longer.trenches[0]?.line).toEqual([
    [0, 0],
    [50, 0],
    [50, 30],
  ]);
  const turned = setLeg(0, 1, { turn: -90 })(GROUNDS);
  expect(turned.trenches[0]?.line).toEqual([
    [0, 0],
    [40, 0],
    [40, -30],
  ]);
});

test("a picture is measured by two of its points, and stays where it was", () => {
  const plan = { picture: "x", from: [0, 100], to: [200, 100], apart: 50, at: [10, 20] };
  const site: SiteDocument = { ...GROUNDS, plan };
  // A quarter of a metre a pixel: 30 m east of the first point is 120 pixels on.
  expect(pixelAt(plan, [40, 20])).toEqual([120, 100]);
  expect(pixelAt(plan, [10, 30])).toEqual([0, 60]);
  const measured = measurePicture([40, 20], [40, 40])(site).plan;
  expect(measured).toMatchObject({ from: [120, 100], to: [120, 20], apart: 20, at: [40, 20] });
  // What lies at a point lies there still; turned by a quarter, right is down.
  expect(measured && pixelAt(measured, [10, 30])).toEqual([0, 60]);
  expect(pixelAt({ ...plan, turned: 90 }, [10, -10])).toEqual([120, 100]);
  expect(measurePicture([1, 1], [1, 1])(site)).toBe(site);
});

test("what was seen is ticked once, and can be taken back", () => {
  const tick = { stretch: "HUT–H1", item: "rope", by: "Wren", at: "2026" } as const;
  const seen = setTick(tick, true)(setTick(tick, true)(GROUNDS));
  expect(seen.ticks).toEqual([tick]);
  expect(setTick(tick, false)(seen).ticks).toEqual([]);
});

test("a point lands on a point, on a trench, at a right angle, or where it is", () => {
  expect(snapped(GROUNDS, [39, 1], 2)).toEqual({ at: [40, 0], on: "point" });
  expect(snapped(GROUNDS, [20, 1], 2)).toEqual({ at: [20, 0], on: "trench" });
  expect(snapped(GROUNDS, [101, 61.4], 2, [[60, 60]])).toEqual({ at: [101, 60], on: "square" });
  expect(snapped(GROUNDS, [80.04, 80.06], 2)).toEqual({ at: [80, 80.1], on: "free" });
  // Square to the leg before, which goes up to the right.
  const { at, on } = snapped(
    GROUNDS,
    [60, 111],
    2,
    [
      [80, 70],
      [100, 90],
    ].map(([x = 0, y = 0]) => [x, y] as const),
  );
  expect([on, Math.round(at[0] + at[1])]).toEqual(["free", 171]);
});

test("a point that is moved does not land on itself", () => {
  expect(snapped(GROUNDS, [40.5, 0], 2, [], [40, 0])).toEqual({ at: [40.5, 0], on: "free" });
});

test("a new building is 12 m by 9 m, with its entry in the middle of its lower side", () => {
  const { places } = addPlace("building", [10, 20])(newSite("mm"));
  expect(places[0]?.at).toEqual([10, 20]);
  expect(places[0]?.outline).toEqual([
    [4, 20],
    [16, 20],
    [16, 29],
    [4, 29],
  ]);
});
