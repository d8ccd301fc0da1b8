import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Plan } from "@/model/document";
import { GOLDEN } from "@/model/golden.test-data";
import { drawPlanner, rows, said } from "@/testing/page";
import { MarksPane } from "./MarksPane";

const over: Plan = { ...GOLDEN, totals: { ...GOLDEN.totals, bend_degrees: 370 } };

describe("the marks", () => {
  it("are a row a bend: where, on what, which way, how far, rolled from the last", () => {
    drawPlanner(<MarksPane />, { plan: GOLDEN });
    expect(rows().slice(1, 4)).toEqual([
      "1 | 25 9/16 | front | hook toward the end | 30° | –",
      "2 | 34 1/4 | front | hook toward the end | 30° | over",
      "3 | 72 11/16 | back-of-bend | hook toward the end | 90° | over",
    ]);
  });

  it("add up to the cut and to degrees of what may be bent between pull points", () => {
    const { container } = drawPlanner(<MarksPane />, { plan: GOLDEN });
    expect(said(container.querySelector("[data-cut]") as Element)).toBe("8' 8 3/16\"");
    expect(screen.getByText("150° of 360°")).toBeTruthy();
  });

  it("are coloured where there is more than that", () => {
    drawPlanner(<MarksPane />, { plan: over });
    expect(screen.getByText("370° of 360°").className).toContain("text-amber");
  });

  it("lead to the line that a bend belongs to", async () => {
    const { user, store } = drawPlanner(<MarksPane />, { plan: GOLDEN });
    await user.click(screen.getByText("back-of-bend"));
    expect(store.getState().selected).toBe(1);
  });

  it("point at a bend while it is looked at, and at none after", async () => {
    const { user, store, container } = drawPlanner(<MarksPane />, { plan: GOLDEN });
    const row = container.querySelector("[data-mark='1']") as Element;
    await user.hover(row);
    expect(store.getState().pointed).toBe(1);
    await user.unhover(row);
    expect(store.getState().pointed).toBeNull();
  });

  it("of a run that can't be made are not there, nor is a cut", () => {
    const error = { level: "error", code: "x", text: "", source: "", path: "", feature: null };
    const none = { ...GOLDEN, marks: [], findings: [error] };
    const { container } = drawPlanner(<MarksPane />, { plan: none as unknown as Plan });
    expect(screen.getByText(/this run can't be made as it is written/)).toBeTruthy();
    expect(said(container.querySelector("[data-cut]") as Element)).toBe("–");
  });
});

describe("what is said over them", () => {
  const notice = () => screen.getByRole("status").textContent;

  it("that there is no connection comes before what can't be read", () => {
    const problems = { "walk[0].at": "a length" };
    drawPlanner(<MarksPane />, { plan: GOLDEN, problems, state: { offline: true } });
    expect(notice()).toMatch(/^No connection/);
  });

  it("that a line can't be read is said, where it is of a line", () => {
    drawPlanner(<MarksPane />, { plan: GOLDEN, problems: { "walk[0].at": "a length" } });
    expect(notice()).toMatch(/^A line can't be read yet/);
  });

  it.each([
    ["stand_off", "Stand-off: expected a length"],
    ["wires.conductors[0].size", "Wires: expected a length"],
    ["rack.count", "rack.count: expected a length"],
  ])("what has no line, as %s, is named with what was expected", (path, said) => {
    drawPlanner(<MarksPane />, { plan: GOLDEN, problems: { [path]: "a length" } });
    expect(notice()).toBe(said);
  });
});
