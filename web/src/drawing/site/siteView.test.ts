import { expect, test } from "vitest";
import { barLength, enlarged, onPlan, onScreen, whole } from "./siteView";

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
