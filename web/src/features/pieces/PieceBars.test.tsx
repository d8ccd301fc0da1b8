import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { PiecesOfRun } from "@/api/planning";
import { drawPlanner, said } from "@/testing/page";
import golden from "../../../../contracts/golden/press-hall.pieces.json";
import { PieceBars } from "./PieceBars";

const MADE = golden as unknown as PiecesOfRun;
const [ONE] = MADE.pieces as [PiecesOfRun["pieces"][number]];
const STRAIGHT = { ...ONE, number: 2, whole: true, spare: 0, plan: { ...ONE.plan, bends: [] } };
const JOINT = {
  ...{ number: 1, coupling_name: "set-screw coupling", at_text: "40", leg: 2, takes_text: "3/4" },
} as unknown as PiecesOfRun["joints"][number];
const TWO: PiecesOfRun = { ...MADE, pieces: [ONE, STRAIGHT], joints: [JOINT] };

const words = () => screen.getAllByRole("button").map(said);

it("each piece has its cut, its bends and what is left of its stick", () => {
  drawPlanner(<PieceBars made={TWO} />);
  expect(words()).toEqual([
    "Piece 1cut8' 8 3/16\"3 bends15 13/16 left",
    "Piece 2a whole stick8' 8 3/16\"straight",
  ]);
});

it("a joint is told between its two pieces", () => {
  drawPlanner(<PieceBars made={TWO} />);
  const joints = document.querySelectorAll("[data-joint-told]");
  expect([...joints].map(said)).toEqual([
    "Joint 1, set-screw coupling: its middle at 40 along leg 2; 3/4 go in from either side",
  ]);
  const [first, second] = document.querySelectorAll("li");
  expect([first?.contains(joints[0] as Node), second?.contains(joints[0] as Node)]).toEqual([
    false,
    true,
  ]);
});

it("the first is looked at until another is touched", async () => {
  const { user, store } = drawPlanner(<PieceBars made={TWO} />);
  const pressed = () =>
    screen.getAllByRole("button").map((button) => button.getAttribute("aria-pressed"));
  expect(pressed()).toEqual(["true", "false"]);
  await user.click(screen.getByText("Piece 2"));
  expect([pressed(), store.getState().piece]).toEqual([["false", "true"], 2]);
});

it("sticks are to one scale, with arcs where they will be and what is left hatched", () => {
  const { container } = drawPlanner(<PieceBars made={{ ...MADE, stick: 120 }} />);
  const scale = (800 - 32) / 120;
  const [left, pipe, arc] = container.querySelectorAll("svg > rect");
  const cut = ONE.plan.cut_length * scale;
  const number = (of: Element | undefined, name: string) => Number(of?.getAttribute(name));
  expect(number(left, "x")).toBeCloseTo(cut);
  expect(number(left, "width")).toBeCloseTo(120 * scale - cut);
  expect(number(pipe, "width")).toBeCloseTo(cut - 1.4);
  const [bend] = ONE.plan.bends;
  expect(number(arc, "x")).toBeCloseTo((bend?.arc_start ?? 0) * scale);
  expect(number(arc, "width")).toBeCloseTo(((bend?.arc_end ?? 0) - (bend?.arc_start ?? 0)) * scale);
});
