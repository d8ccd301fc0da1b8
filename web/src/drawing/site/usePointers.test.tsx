import { fireEvent, render, screen } from "@testing-library/react";
import { beforeEach, expect, it, vi } from "vitest";
import type { PlanPoint } from "@/model/sites";
import type { SiteView } from "./siteView";
import { usePointers } from "./usePointers";

let view: SiteView;
const tap = vi.fn<(at: PlanPoint) => void>();
const change = (next: (view: SiteView) => SiteView) => {
  view = next(view);
};

function Plan() {
  const { ref, handlers } = usePointers(change, tap);
  return <svg ref={ref} data-testid="plan" role="img" aria-label="plan" {...handlers} />;
}

beforeEach(() => {
  view = { scale: 2, left: 100, base: 300 };
  tap.mockClear();
  render(<Plan />);
});
const plan = () => screen.getByTestId("plan");
const at = (pointerId: number, clientX: number, clientY: number) => ({
  ...{ pointerId, clientX, clientY },
});

it("one finger moves the plan as far as it goes itself", () => {
  fireEvent.pointerDown(plan(), at(1, 10, 10));
  fireEvent.pointerMove(plan(), at(1, 40, 30));
  fireEvent.pointerUp(plan(), at(1, 40, 30));
  expect(view).toEqual({ scale: 2, left: 130, base: 320 });
  expect(tap).not.toHaveBeenCalled();
});

it("what hardly moved was a tap, and the plan stays", () => {
  fireEvent.pointerDown(plan(), at(1, 10, 10));
  fireEvent.pointerMove(plan(), at(1, 13, 12));
  fireEvent.pointerUp(plan(), at(1, 13, 12));
  expect(tap.mock.calls).toEqual([[[13, 12]]]);
  expect(view).toEqual({ scale: 2, left: 100, base: 300 });
});

it("little by little it is a move all the same", () => {
  fireEvent.pointerDown(plan(), at(1, 10, 10));
  for (const x of [13, 16, 19]) {
    fireEvent.pointerMove(plan(), at(1, x, 10));
  }
  fireEvent.pointerUp(plan(), at(1, 19, 10));
  expect(tap).not.toHaveBeenCalled();
});

it("two fingers twice as far apart enlarge it twice, about the one that rests", () => {
  fireEvent.pointerDown(plan(), at(1, 100, 100));
  fireEvent.pointerDown(plan(), at(2, 150, 100));
  fireEvent.pointerMove(plan(), at(2, 200, 100));
  fireEvent.pointerUp(plan(), at(2, 200, 100));
  expect(view).toEqual({ scale: 4, left: 100, base: 500 });
  fireEvent.pointerUp(plan(), at(1, 100, 100));
  expect(tap).not.toHaveBeenCalled();
});

it("a finger that was taken away by the browser is no tap", () => {
  fireEvent.pointerDown(plan(), at(1, 10, 10));
  fireEvent.pointerCancel(plan(), at(1, 10, 10));
  fireEvent.pointerMove(plan(), at(1, 90, 90));
  expect([view.left, tap.mock.calls.length]).toEqual([100, 0]);
});

it("the wheel enlarges it toward where it points, and the page stays", () => {
  const turned = new WheelEvent("wheel", {
    ...{ deltaY: -100, clientX: 100, clientY: 300, cancelable: true, bubbles: true },
  });
  plan().dispatchEvent(turned);
  expect(view.scale).toBeGreaterThan(2);
  expect([view.left, view.base, turned.defaultPrevented]).toEqual([100, 300, true]);
});
