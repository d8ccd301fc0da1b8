import { act, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { HoldButton } from "./HoldButton";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function held() {
  const does = vi.fn();
  render(<HoldButton onHeld={does}>Begin anew</HoldButton>);
  return { does, button: screen.getByRole("button") };
}
const pass = (ms: number) => act(() => vi.advanceTimersByTime(ms));

it("does it once it was held long enough, and once only", () => {
  const { does, button } = held();
  fireEvent.pointerDown(button);
  pass(690);
  expect(does).not.toHaveBeenCalled();
  pass(2000);
  expect(does).toHaveBeenCalledTimes(1);
});

it.each([
  ["let go", (button: Element) => fireEvent.pointerUp(button)],
  ["left", (button: Element) => fireEvent.pointerLeave(button)],
  ["where the focus goes elsewhere", (button: Element) => fireEvent.blur(button)],
])("does nothing when it is %s before", (_, end) => {
  const { does, button } = held();
  fireEvent.pointerDown(button);
  pass(400);
  end(button);
  pass(2000);
  expect(does).not.toHaveBeenCalled();
});

it.each([" ", "Enter"])("is held by the key %j too", (key) => {
  const { does, button } = held();
  fireEvent.keyDown(button, { key });
  pass(700);
  expect(does).toHaveBeenCalledTimes(1);
});

it("no other key holds it", () => {
  const { does, button } = held();
  fireEvent.keyDown(button, { key: "a" });
  pass(2000);
  expect(does).not.toHaveBeenCalled();
});
