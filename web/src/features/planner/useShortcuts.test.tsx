import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { usePlannerStore } from "@/state/PlannerContext";
import { drawPlanner } from "@/testing/page";
import { useShortcuts } from "./useShortcuts";

const help = vi.fn();
const add = vi.fn();

function Keys() {
  useShortcuts(usePlannerStore(), help, add);
  return (
    <>
      <input aria-label="a length" />
      <div role="dialog">
        <button type="button">in a window</button>
      </div>
    </>
  );
}

it("A adds a line and ? shows the keys, once for a press", async () => {
  const { user } = drawPlanner(<Keys />);
  add.mockClear();
  help.mockClear();
  await user.keyboard("a?");
  expect([add.mock.calls.length, help.mock.calls.length]).toEqual([1, 1]);
});

it("W shows the wires, and again the shape", async () => {
  const { user, store } = drawPlanner(<Keys />);
  await user.keyboard("w");
  expect(store.getState().shown).toBe("wires");
  await user.keyboard("W");
  expect(store.getState().shown).toBe("flat");
});

it.each(["{Control>}a{/Control}", "{Alt>}a{/Alt}", "{Meta>}a{/Meta}"])(
  "%s is the browser's own",
  async (keys) => {
    const { user } = drawPlanner(<Keys />);
    add.mockClear();
    await user.keyboard(keys);
    expect(add).not.toHaveBeenCalled();
  },
);

it.each(["a length", "in a window"])("in %s a letter is a letter", async (where) => {
  const { user, store } = drawPlanner(<Keys />);
  add.mockClear();
  await user.click(screen.queryByLabelText(where) ?? screen.getByText(where));
  await user.keyboard("aw");
  expect([add.mock.calls.length, store.getState().shown]).toEqual([0, "flat"]);
});
