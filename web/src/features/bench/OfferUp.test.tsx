import { screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { BenchPlan } from "@/api/bench";
import { draw, said } from "@/testing/page";
import { type Mend, MendLine } from "./MendStep";
import { OfferUp } from "./OfferUp";

const leg = (number: number, holds: boolean, matters = true) => ({
  ...{ leg: number, name: `leg ${number}`, off: 0.5, off_text: "1/2", holds, matters },
});
const PLAN = {
  verdict: "gives",
  told: ["The far box is 1/2 off."],
  legs: [leg(0, true), leg(1, false), leg(2, false, false)],
  straight_left_mm: 500,
  straight_left_text: "19 11/16",
} as unknown as BenchPlan;

function offered(more: Partial<Parameters<typeof OfferUp>[0]> = {}) {
  const hold = vi.fn();
  const of = { plan: PLAN, runId: 1, held: -1, hold, anew: () => undefined, telling: null };
  return { hold, ...draw(<OfferUp {...of} {...more} />) };
}
const legs = () => screen.getAllByRole("listitem").slice(1).map(said);

it("the verdict is in words, with what there is to say of it", () => {
  offered();
  expect(said(screen.getByRole("status"))).toBe(
    "It fits, and gives way somewhereThe far box is 1/2 off.",
  );
});

it("each leg that matters is where it was to be, or so far off", () => {
  offered();
  expect(legs()).toEqual(["leg 0where it was to beHold", "leg 11/2 offHold"]);
});

it("a leg is held, and let go by the same touch", async () => {
  const { hold, user, unmount } = offered();
  await user.click(screen.getAllByText("Hold")[1] as Element);
  expect(hold).toHaveBeenLastCalledWith(1);
  unmount();
  const again = offered({ held: 1 });
  await again.user.click(screen.getByText("Held"));
  expect(again.hold).toHaveBeenLastCalledWith(-1);
});

it.each([
  [null, /none of the crew's own, and learns nothing/],
  [{ name: "Ours", bends: 0, refused: false }, /^Nothing was measured: Ours/],
  [{ name: "Ours", bends: 1, refused: false }, /^Ours has learnt from 1 bend of/],
  [{ name: "Ours", bends: 3, refused: false }, /^Ours has learnt from 3 bends of/],
  [{ name: "Ours", bends: 3, refused: true }, /^Ours took no readings/],
])("what the bender learnt: %j", (telling, words) => {
  offered({ telling });
  expect(screen.getByText(words)).toBeTruthy();
});

const mend = (how: Mend["how"]): Mend =>
  ({
    ...{ bend: 1, how, to: 92.04, bend_to_text: "95°", told: "", from: 88 },
  }) as unknown as Mend;

it.each([
  ["bend-on", "Bend it on: to 95° on the scale"],
  ["open", "Open it: to 92° between the legs"],
  ["press-flat", "Press it flat"],
] as const)("mended by %s it says how far", (how, words) => {
  const { container } = draw(<MendLine mend={mend(how)} />);
  expect(said(container)).toBe(words);
});
