import { describe, expect, it } from "vitest";
import { type Circle, type Container, settled, settling } from "./packing";

const ROUND: Container = { kind: "round", radius: 10 };
const BOX: Container = { kind: "box", width: 50, height: 38 };

function overlaps(circles: readonly Circle[]): number {
  let worst = 0;
  circles.forEach((one, at) => {
    for (const other of circles.slice(at + 1)) {
      worst = Math.max(worst, one.r + other.r - Math.hypot(one.x - other.x, one.y - other.y));
    }
  });
  return worst;
}

function mixed(count: number, most: number): number[] {
  return Array.from({ length: count }, (_, at) => most * (0.5 + 0.5 * ((at * 7) % 10) * 0.1));
}

describe.each([
  ["a conduit", ROUND, mixed(24, 1.5)],
  ["a trunking", BOX, mixed(60, 2.4)],
])("in %s", (_, container, radii) => {
  const circles = settled(radii, container).filter((circle) => circle !== null);

  it("all find a place, within the walls and without overlapping", () => {
    expect(circles).toHaveLength(radii.length);
    expect(overlaps(circles)).toBeLessThan(1e-6);
    for (const { x, y, r } of circles) {
      if (container.kind === "round") {
        expect(Math.hypot(x, y) + r).toBeLessThanOrEqual(container.radius + 1e-6);
      } else {
        expect(y - r).toBeGreaterThanOrEqual(-1e-6);
        expect(Math.abs(x) + r).toBeLessThanOrEqual(container.width / 2 + 1e-6);
      }
    }
  });

  it("none could fall straight down", () => {
    const step = 0.05;
    for (const circle of circles) {
      const fallen = { ...circle, y: circle.y - step };
      const others = circles.filter((other) => other !== circle);
      const blocked = overlaps([fallen, ...others]) > 1e-6;
      const onWall =
        container.kind === "round"
          ? Math.hypot(fallen.x, fallen.y) + fallen.r > container.radius
          : fallen.y < fallen.r;
      expect(blocked || onWall).toBe(true);
    }
  });
});

it("leaves out what does not go in, and keeps the order of what was asked", () => {
  const packing = settled([9, 9, 0.5], ROUND);
  expect(packing[0]).not.toBeNull();
  expect(packing[1]).toBeNull();
  expect(packing[2]?.r).toBe(0.5);
  expect(settled([11], ROUND)).toEqual([null]);
  expect(settled([], ROUND)).toEqual([]);
});

it("can be paused behind every conductor", () => {
  const steps = settling(mixed(60, 1), ROUND);
  let pauses = 0;
  let step = steps.next();
  while (!step.done) {
    pauses += 1;
    step = steps.next();
  }
  expect(pauses).toBe(60);
  expect(step.value).toEqual(settled(mixed(60, 1), ROUND));
});
