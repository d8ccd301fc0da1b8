import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { RackPlan } from "@/api/planning";
import { drawPlanner, rows } from "@/testing/page";
import golden from "../../../../contracts/golden/press-hall.rack.json";
import { RackTable } from "./RackTable";

const PLAN = golden as unknown as RackPlan;
const RACK = { count: 3, side: "left", spacing: 3 } as const;

function table(plan = PLAN, lit: number | null = null) {
  const point = vi.fn();
  return { point, ...drawPlanner(<RackTable plan={plan} rack={RACK} lit={lit} point={point} />) };
}

it("each pipe has its marks, how far each moved from the pipe before, its cut and the air", () => {
  table();
  const [, first, second, third] = rows();
  expect(first).toContain("25 9/16");
  expect(first).toContain("8' 8 3/16\"");
  // 3 tan 15° at the set, in sixteenths; the spacing at the turn.
  expect(second).toMatch(/ −13\/16.*−13\/16.*−3/);
  expect(third?.split(" | ").at(-2)).toBe(""); // nothing lies beyond the last
});

it("a pipe whose marks can't be made has no cut", () => {
  const [one, ...others] = PLAN.pipes;
  table({ ...PLAN, pipes: [{ ...one, marks: [] } as typeof one, ...others] as RackPlan["pipes"] });
  expect(rows()[1]).toContain("no marks | –");
});

it("a straight pipe has no marks to be without", () => {
  const [one] = PLAN.pipes;
  table({ ...PLAN, pipes: [{ ...one, marks: [], bends: [] }] as unknown as RackPlan["pipes"] });
  expect(rows()[1]).toContain("straight | 8' 8 3/16\"");
});

it("a bend in shots is one entry: the first mark, then how far apart, how often, how much", () => {
  const [one] = PLAN.pipes;
  const shots = [
    { bend: 0, count: 2, apart_text: "8 3/4", degrees: 15, radius_text: "30", radius: 30 },
  ];
  table({ ...PLAN, pipes: [{ ...one, shots }] as unknown as RackPlan["pipes"] });
  const [, marks] = document.querySelectorAll("[data-rack-mark]");
  expect(document.querySelectorAll("[data-rack-mark]")).toHaveLength(2);
  expect(marks?.textContent).toContain("72 11/16");
  expect(rows()[1]).toContain("then every 8 3/4, 2 × 15°, radius 30");
});

it("points at a pipe while it is looked at", async () => {
  const { user, point, container } = table();
  const row = container.querySelector("[data-pipe='1']") as Element;
  await user.hover(row);
  await user.unhover(row);
  expect(point.mock.calls).toEqual([[1], [null]]);
});

it("the one that is pointed at is lit", () => {
  const { container } = table(PLAN, 2);
  const lit = [...container.querySelectorAll("[data-pipe]")].map((row) =>
    row.className.includes("bg-accent-soft"),
  );
  expect(lit).toEqual([false, false, true]);
});

it("one that was built otherwise says so", async () => {
  const [one, ...others] = PLAN.pipes;
  const built = { ...one, built_as: [{ bend: 0 }] } as unknown as typeof one;
  const plan = { ...PLAN, pipes: [built, ...others] as RackPlan["pipes"] };
  table(plan);
  expect(screen.getByLabelText("Pipe 1 as built").textContent).toBe("Built");
  expect(screen.getByLabelText("Pipe 2 as built").textContent).toBe("As built");
});
