import { expect, test } from "vitest";
import { barLength, dragged, enlarged, linePoints, onPlan, onScreen, whole } from "./siteView";

test("what is enlarged stays where it is pointed at, and the way back is the way there", () => {
  const view = whole(
    [
      [0, 0],
      [200, 100],
    ],
    { width: 800, height: 600 },
  );
  const at = onScreen(view, [50, 20]);
  const larger = enlarged(view, 2, at);
  expect(larger.scale).toBeCloseTo(view.scale * 2);
  expect(onScreen(larger, [50, 20])[0]).toBeCloseTo(at[0]);
  expect(onPlan(larger, at)[1]).toBeCloseTo(20);
});

test("all of a plan is within the window, upward to the north", () => {
  const size = { width: 800, height: 600 };
  const view = whole(
    [
      [-40, 10],
      [260, 190],
    ],
    size,
  );
  for (const point of [
    [-40, 10],
    [260, 190],
  ] as const) {
    const [x, y] = onScreen(view, point);
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(size.width);
    expect(y).toBeGreaterThan(0);
    expect(y).toBeLessThan(size.height);
  }
  expect(onScreen(view, [0, 190])[1]).toBeLessThan(onScreen(view, [0, 10])[1]);
});

test("a scale bar is a round length of at most 140 pixels", () => {
  expect([barLength(1), barLength(2.5), barLength(14)]).toEqual([100, 50, 10]);
});

test("a plan is as large as the window takes it, the room for tools and scale left free", () => {
  const box = (wide: number, tall: number) => [[0, 0] as const, [wide, tall] as const];
  // 800 × 0.86 over 200 m, and 600 − 80 − 60 over 400 m.
  expect(whole(box(200, 100), { width: 800, height: 600 }).scale).toBeCloseTo(3.44);
  expect(whole(box(40, 400), { width: 800, height: 600 }).scale).toBeCloseTo(1.15);
  // In a low window a third of it, and not the 40 pixels that would be left.
  expect(whole(box(40, 120), { width: 800, height: 180 }).scale).toBeCloseTo(0.5);
  // A hut alone is seen with 40 m about it.
  expect(whole(box(2, 2), { width: 400, height: 900 }).scale).toBeCloseTo(8.6);
});

test("a place of the screen is the place of the plan that is drawn there", () => {
  const view = { scale: 4, left: 100, base: 500 };
  expect(onScreen(view, [25, 50])).toEqual([200, 300]);
  expect(onPlan(view, [200, 300])).toEqual([25, 50]);
  expect(
    linePoints(view, [
      [0, 0],
      [25, 50],
    ]),
  ).toBe("100,500 200,300");
});

test("one finger moves the plan with it, two enlarge it about the one that holds", () => {
  const view = { scale: 4, left: 100, base: 500 };
  expect(dragged(view, [10, 20], [40, 15])).toEqual({ scale: 4, left: 130, base: 495 });
  // From 30 and 40 off to 60 and 80: twice as far, about 100, 500, which is the plan's corner.
  const twice = { scale: 8, left: 100, base: 500 };
  expect(dragged(view, [130, 460], [160, 420], [100, 500])).toEqual(twice);
  expect(dragged(twice, [160, 420], [130, 460], [100, 500])).toEqual(view);
});
