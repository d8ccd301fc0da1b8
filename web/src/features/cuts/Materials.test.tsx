import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { StockDocument } from "@/model/stock";
import { draw, said } from "@/testing/page";
import { Materials } from "./Materials";

const STOCK: StockDocument = {
  format: "yarrow.jobstock/1",
  units: "in",
  things: [{ what: "strap", count: 4 }],
};
const thing = (what: string, count: number, in_hand: number, to_get: number) => ({
  ...{ what, count, in_hand, to_get },
});

function listed(materials: ReturnType<typeof thing>[], problems = new Map<string, string>()) {
  const change = vi.fn();
  const of = { title: "Goes with them", materials, stock: STOCK, problems, change };
  const drawn = draw(<Materials {...of} />);
  return { ...drawn, change, lines: screen.getAllByRole("listitem").map(said) };
}

it("how many are wanted, and how many of those are still to be got", () => {
  const { lines } = listed([thing("strap", 6, 4, 2), thing("coupling", 3, 3, 0)]);
  expect(lines[0]).toMatch(/^6strapin hand.*get 2/);
  expect(lines[1]).toMatch(/^3couplingin hand.*all there/);
});

it("what lies there and nobody wants is neither counted nor to be got", () => {
  const { lines } = listed([thing("strap", 0, 4, 0)]);
  expect(lines[0]).toMatch(/^strapin hand/);
  expect(lines[0]).not.toMatch(/get|all there/);
});

it("what is in hand is said here", async () => {
  const { user, change } = listed([thing("strap", 6, 4, 2)]);
  const field = screen.getByLabelText<HTMLInputElement>("strap: in hand");
  expect(field.value).toBe("4");
  await user.click(field);
  await user.keyboard("{ArrowUp}");
  const [next] = change.mock.calls[0] as [(stock: StockDocument) => StockDocument];
  expect(next(STOCK).things).toEqual([{ what: "strap", count: 5 }]);
});

it("what can't be read is told at its thing", () => {
  const { lines } = listed(
    [thing("coupling", 3, 0, 3), thing("strap", 6, 4, 2)],
    new Map([["things[0].count", "a whole number"]]),
  );
  expect(lines[0]).not.toContain("Expected");
  expect(lines[1]).toContain("Expected a whole number");
});
