import { render, screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Plan } from "@/model/document";
import { GOLDEN } from "@/model/golden.test-data";
import { said } from "@/testing/page";
import { Comparison } from "./Comparison";

const cells = () => [...document.querySelectorAll("tbody td:last-child")];
const widths = (cell: Element | undefined) =>
  [...(cell?.querySelectorAll("rect") ?? [])].map((rect) => Number(rect.getAttribute("width")));

describe("what a pipe measures", () => {
  it("has a band for each number, of the habit that the run is marked by", () => {
    render(<Comparison plan={{ ...GOLDEN, marking: "flat" }} />);
    expect(cells().map(said)).toEqual(["± 3/16", "± 5/16", "± 3/16", "± 3/16"]);
    expect(screen.getByLabelText("Marked flat ± 5/16, as you go ± 3/16")).toBeTruthy();
  });

  it("has the other habit's under it, to one scale", () => {
    render(<Comparison plan={{ ...GOLDEN, marking: "as-you-go" }} />);
    expect(said(cells()[1] as Element)).toBe("± 3/16");
    const [own = 0, other = 0] = widths(cells()[1]);
    expect(other).toBe(Math.max(...cells().flatMap(widths)));
    const rise = GOLDEN.expected[1];
    expect(own / other).toBeCloseTo((rise?.as_you_go ?? 0) / (rise?.flat ?? 1), 6);
  });

  it("says once what matters of it, and nothing where nothing does", () => {
    const { rerender } = render(<Comparison plan={GOLDEN} />);
    for (const sentence of Object.values(GOLDEN.to_expect)) {
      expect(sentence).not.toBe("");
      expect(document.body.textContent).toContain(sentence);
    }
    const quiet: Plan = { ...GOLDEN, to_expect: { habits: "", taken_up: "", narrowed: "" } };
    rerender(<Comparison plan={quiet} />);
    expect(document.body.textContent).not.toContain("Marked flat, the");
  });

  it("has no band where no pipe comes out", () => {
    render(<Comparison plan={{ ...GOLDEN, expected: [] }} />);
    expect(screen.queryByText("19 of 20")).toBeNull();
  });
});
