import { act, fireEvent, renderHook } from "@testing-library/react";
import { expect, it } from "vitest";
import type { SiteTool } from "@/drawing/site/SiteDrawing";
import type { SiteChange, SiteDocument } from "@/model/sites";
import { useDrawing } from "./useDrawing";

const EMPTY: SiteDocument = { format: "yarrow.site/1", units: "mm", places: [], trenches: [] };

/** A plan that is drawn on, and what it has come to. */
function plan() {
  let site = EMPTY;
  const hook = renderHook(() =>
    useDrawing((change: SiteChange) => {
      site = change(site);
    }),
  );
  const drawing = () => hook.result.current;
  return {
    take: (tool: SiteTool) => act(() => drawing().take(tool)),
    tap: (...points: [number, number][]) => {
      for (const point of points) {
        act(() => drawing().put(point));
      }
    },
    press: (key: string) => fireEvent.keyDown(document.body, { key }),
    drawing,
    lines: () => site.trenches.map(({ line }) => line),
    places: () => site.places.map(({ at }) => at),
  };
}

it("a trench goes from tap to tap, and ends where the last point is tapped again", () => {
  const yard = plan();
  yard.take("trench");
  yard.tap([0, 0], [10, 0], [10, 5]);
  expect(yard.lines()).toEqual([]);
  yard.tap([10, 5]);
  expect(yard.lines()).toEqual([
    [
      [0, 0],
      [10, 0],
      [10, 5],
    ],
  ]);
  expect(yard.drawing().drawn).toEqual([]);
});

it("Backspace takes the last point back, Enter ends it, Escape lets it be", () => {
  const yard = plan();
  yard.take("trench");
  yard.tap([0, 0], [10, 0], [99, 99]);
  yard.press("Backspace");
  yard.press("Enter");
  expect(yard.lines()[0]?.at(-1)).toEqual([10, 0]);
  yard.tap([3, 3], [4, 4]);
  yard.press("Escape");
  expect([yard.lines().length, yard.drawing().tool]).toEqual([1, "look"]);
});

it("one point is no trench, and another tool ends the one that is being drawn", () => {
  const yard = plan();
  yard.take("trench");
  yard.tap([0, 0]);
  yard.press("Enter");
  expect(yard.lines()).toEqual([]);
  yard.tap([0, 0], [10, 0]);
  yard.take("hand-hole");
  expect(yard.lines().length).toBe(1);
  yard.tap([1, 2], [3, 4]);
  expect(yard.places()).toEqual([
    [1, 2],
    [3, 4],
  ]);
});

it("while it is only looked at, a tap draws nothing, and keys are the page's", () => {
  const yard = plan();
  yard.tap([1, 1]);
  expect([yard.places(), yard.drawing().drawn]).toEqual([[], []]);
  expect(yard.press("Enter")).toBe(true);
});
