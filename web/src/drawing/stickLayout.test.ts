import { describe, expect, it } from "vitest";
import { GOLDEN } from "@/model/golden.test-data";
import { widthOf } from "@/ui/reading";
import { layOutStick, READING_SIZE, stickPages } from "./stickLayout";

describe("the stick", () => {
  it("shows the whole pipe on one page where there is room", () => {
    const pages = stickPages(GOLDEN, 1280);
    expect(pages).toHaveLength(1);
    expect(pages[0]).toMatchObject({ from: 0, to: GOLDEN.cut_length });
  });

  it("turns pages where labels would not fit, with every mark on one of them", () => {
    const pages = stickPages(GOLDEN, 230);
    expect(pages.length).toBeGreaterThan(1);
    expect(pages.flatMap(({ marks }) => marks.map(({ bend }) => bend))).toEqual([0, 1, 2]);
    for (const page of pages) {
      for (const mark of page.marks) {
        expect(mark.position).toBeGreaterThanOrEqual(page.from);
        expect(mark.position).toBeLessThanOrEqual(page.to);
      }
    }
    expect(pages[0]?.from).toBe(0);
    expect(pages.at(-1)?.to).toBe(GOLDEN.cut_length);
  });

  it("is to scale: marks are on the pipe where they are on the tape", () => {
    const page = stickPages(GOLDEN, 1000)[0];
    if (!page) {
      throw new Error("no page");
    }
    const { placed, left, right, x } = layOutStick(GOLDEN, page, 1000);
    for (const { mark, x: at } of placed) {
      const share = mark.position / GOLDEN.cut_length;
      expect(at).toBeCloseTo(left + (right - left) * share, 6);
    }
    expect(x(0)).toBe(left);
    expect(x(GOLDEN.cut_length)).toBeCloseTo(right, 6);
  });

  it("spreads labels so that none collide, in order, within the screen", () => {
    const page = stickPages(GOLDEN, 420)[0];
    if (!page) {
      throw new Error("no page");
    }
    const { placed, cut } = layOutStick(GOLDEN, page, 420);
    const labels = [...placed.map(({ label }) => label), ...(cut ? [cut.label] : [])];
    expect(labels).toEqual(labels.toSorted((a, b) => a - b));
    labels.slice(1).forEach((label, index) => {
      expect(label - (labels[index] ?? 0)).toBeGreaterThan(40);
    });
    expect(labels.at(-1)).toBeLessThan(420);
  });

  it("tells the cut at the pipe's end, with its label ending there", () => {
    const page = stickPages(GOLDEN, 1280)[0];
    if (!page) {
      throw new Error("no page");
    }
    const { cut, left, right } = layOutStick(GOLDEN, page, 1280);
    expect([left, right, cut?.x]).toEqual([20, 1260, 1260]);
    // Half of the room between labels, 16, is beside it.
    const ends = (cut?.label ?? 0) + widthOf(GOLDEN.cut_length_text, READING_SIZE) / 2;
    expect(ends).toBeCloseTo(1252, 6);
  });

  it("has no marks and no cut on it where the run can't be made", () => {
    const broken = {
      ...GOLDEN,
      findings: [
        {
          ...{ level: "error", code: "arcs-overlap", text: "", values: {}, feature: null },
          ...{ bends: [0, 1], path: "", remedy: null, source: "" },
        },
      ],
    } satisfies typeof GOLDEN;
    const page = stickPages(broken, 1280)[0];
    expect(page?.marks).toEqual([]);
    expect(page ? layOutStick(broken, page, 1280).cut : "no page").toBeNull();
  });
});
