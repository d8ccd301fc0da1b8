import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Plan } from "@/model/document";
import { GOLDEN } from "@/model/golden.test-data";
import { drawPlanner } from "@/testing/page";
import { Stick } from "./Stick";

const stick = (plan: Plan | null = GOLDEN) => drawPlanner(<Stick />, { plan });
const marks = (of: Element) => [...of.querySelectorAll("[data-stick-mark]")];
const tag = (mark: Element) => mark.querySelector("text")?.textContent;

it("every mark stands on it, by its bend's number and angle, with its reading", () => {
  const { container } = stick();
  expect(marks(container).map(tag)).toEqual(["1 · 30°", "2 · 30°", "3 · 90°"]);
  expect(screen.getByRole("img").getAttribute("aria-label")).toBe(
    "The unbent pipe with 3 marks shown, cut at 8' 8 3/16\"",
  );
});

it("arcs lie where they will be, to the pipe's scale", () => {
  const { container } = stick();
  const [pipe, ...rects] = container.querySelectorAll("svg > rect");
  const at = (of: Element | undefined, name: string) => Number(of?.getAttribute(name));
  const scale = at(pipe, "width") / GOLDEN.cut_length;
  GOLDEN.bends.forEach((bend, number) => {
    expect(at(rects[number], "x") - at(pipe, "x")).toBeCloseTo(bend.arc_start * scale, 3);
    expect(at(rects[number], "width")).toBeCloseTo((bend.arc_end - bend.arc_start) * scale, 3);
  });
});

it("each hook's arrow points the way that it faces", () => {
  const turned = GOLDEN.marks?.map((mark, at) => ({
    ...mark,
    hook: at === 0 ? ("start" as const) : mark.hook,
  }));
  const { container } = stick({ ...GOLDEN, marks: turned } as Plan);
  const ways = marks(container).map((mark) => {
    const path = mark.querySelector("path")?.getAttribute("d") ?? "";
    return Math.sign(Number(/l(-?\d+)/.exec(path)?.[1]));
  });
  expect(ways).toEqual([-1, 1, 1]);
});

it("a bend that there is something wrong with has its colour", () => {
  const finding = { ...{ level: "error", code: "x", text: "", source: "", path: "" }, bends: [1] };
  const plan = { ...GOLDEN, findings: [finding] } as unknown as Plan;
  const { container } = stick(plan);
  const fills = [...container.querySelectorAll("svg > rect")].slice(1, 4);
  expect(fills.map((rect) => rect.getAttribute("class"))).toEqual([
    "fill-arc",
    "fill-brick",
    "fill-arc",
  ]);
});

it("a touch on a mark is a touch on its line", async () => {
  const { user, container, store } = stick();
  await user.pointer({ keys: "[MouseLeft]", target: marks(container)[2] as Element });
  expect(store.getState().selected).toBe(1);
});

it("what is known of a bender stands round its mark as a band, to scale", () => {
  const known = GOLDEN.marks?.map((mark) => ({ ...mark, known_to: 0.5 }));
  const { container } = stick({ ...GOLDEN, marks: known } as Plan);
  const [pipe] = container.querySelectorAll("svg > rect");
  const scale = Number(pipe?.getAttribute("width")) / GOLDEN.cut_length;
  const band = container.querySelector("[data-band='0']");
  expect(Number(band?.getAttribute("width"))).toBeCloseTo(scale, 3);
});

it("until there are numbers it says what will stand there", () => {
  stick(null);
  expect(screen.getByText(/as soon as the walk has its numbers/)).toBeTruthy();
});
