import { act, renderHook } from "@testing-library/react";
import { beforeAll, expect, it } from "vitest";
import { usePhone } from "./usePhone";

beforeAll(() => {
  Object.assign(globalThis, { DeviceOrientationEvent: class extends Event {} });
});

/** The phone lies so, as its instrument says. */
function lies(alpha: number | null, beta: number, gamma = 0) {
  act(() => {
    dispatchEvent(Object.assign(new Event("deviceorientation"), { alpha, beta, gamma }));
  });
}

it("the first it says is zero, and it counts from there", () => {
  const { result } = renderHook(() => usePhone(true));
  expect(result.current.reading.state).toBe("absent");
  lies(0, 20);
  expect(result.current.reading).toMatchObject({ state: "reading", angle: 0 });
  lies(0, 65);
  expect(result.current.reading.angle).toBeCloseTo(45);
});

it("zero is set anew where it lies, and what it can't say changes nothing", () => {
  const { result } = renderHook(() => usePhone(true));
  lies(0, 20);
  lies(0, 50);
  act(() => result.current.zero());
  expect(result.current.reading.angle).toBeCloseTo(0);
  lies(null, 80);
  expect(result.current.reading.angle).toBeCloseTo(0);
  lies(0, 140);
  expect(result.current.reading.angle).toBeCloseTo(90);
});

it("put down, it is forgotten: taken up again it begins from where it lies then", () => {
  const { result, rerender } = renderHook(({ on }) => usePhone(on), { initialProps: { on: true } });
  lies(0, 20);
  lies(0, 50);
  rerender({ on: false });
  lies(0, 70);
  expect(result.current.reading.state).toBe("absent");
  rerender({ on: true });
  lies(0, 70);
  expect(result.current.reading.angle).toBeCloseTo(0);
});
