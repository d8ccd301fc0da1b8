import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, it, vi } from "vitest";
import { useBenchKeys } from "./useBenchKeys";

const moves = { onward: vi.fn(), back: vi.fn(), repeat: vi.fn(), different: vi.fn() };

function Bench({ listens = true, nothing = false }: { listens?: boolean; nothing?: boolean }) {
  useBenchKeys(listens, nothing ? { ...moves, different: null } : moves);
  return <input aria-label="reading" />;
}

async function pressed(keys: string, props: Parameters<typeof Bench>[0] = {}) {
  for (const move of Object.values(moves)) {
    move.mockClear();
  }
  render(<Bench {...props} />);
  const user = userEvent.setup();
  if (keys.startsWith("typed ")) {
    await user.click(screen.getByRole("textbox"));
  }
  await user.keyboard(keys.replace("typed ", ""));
  return Object.entries(moves).flatMap(([name, move]) => (move.mock.calls.length ? [name] : []));
}

it.each([
  ["{ArrowRight}", "onward"],
  ["{PageDown}", "onward"],
  ["{ArrowLeft}", "back"],
  ["{PageUp}", "back"],
  ["r", "repeat"],
  ["d", "different"],
])("%s goes %s", async (keys, move) => {
  expect(await pressed(keys)).toEqual([move]);
});

it.each(["x", "{Control>}r{/Control}", "{Alt>}d{/Alt}", "{Meta>}r{/Meta}", "typed r"])(
  "%s is no move",
  async (keys) => {
    expect(await pressed(keys)).toEqual([]);
  },
);

it("where nothing is bent, nothing came out different", async () => {
  expect(await pressed("d", { nothing: true })).toEqual([]);
});

it("while it does not listen, nothing moves", async () => {
  expect(await pressed("{ArrowRight}", { listens: false })).toEqual([]);
});
