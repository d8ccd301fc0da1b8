import { expect, it } from "vitest";
import { boxView, onWall, standing } from "./boxWalls";

const VIEW = boxView({ width: 20, height: 10 }, { width: 440, height: 400 }, 20);

it("fits the longer side into the room and stands in its middle", () => {
  expect(VIEW).toEqual({ left: 20, top: 100, width: 400, height: 200, scale: 20 });
});

it("measures along a wall from its left or lower end", () => {
  expect(onWall(VIEW, "left", 0)).toEqual({ x: 20, y: 300 });
  expect(onWall(VIEW, "left", 10)).toEqual({ x: 20, y: 100 });
  expect(onWall(VIEW, "right", 5, 1)).toEqual({ x: 400, y: 200 });
  expect(onWall(VIEW, "top", 5)).toEqual({ x: 120, y: 100 });
  expect(onWall(VIEW, "bottom", 5, -1)).toEqual({ x: 120, y: 320 });
});

it("stands a rectangle on a wall, inward or outward", () => {
  expect(standing(VIEW, "bottom", 5, 2, 0, 1)).toEqual({ x: 100, y: 280, width: 40, height: 20 });
  expect(standing(VIEW, "left", 5, 2, -1, 0)).toEqual({ x: 0, y: 180, width: 20, height: 40 });
});

it("goes inward from whichever wall", () => {
  expect(onWall(VIEW, "left", 5, 1)).toEqual({ x: 40, y: 200 });
  expect(onWall(VIEW, "top", 5, 1)).toEqual({ x: 120, y: 120 });
  expect(onWall(VIEW, "bottom", 5, 1)).toEqual({ x: 120, y: 280 });
});
