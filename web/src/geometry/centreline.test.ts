import { describe, expect, it } from "vitest";
import { GOLDEN } from "@/model/golden.test-data";
import { centreline, linePoints, type Point3 } from "./centreline";

const apart = (a: Point3, b: Point3) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const pieces = centreline(GOLDEN.path, GOLDEN.arcs);
const points = pieces.flatMap((piece) => piece.points);

describe("centreline", () => {
  it("has an arc for every bend and a straight before, between and after", () => {
    expect(pieces.map(({ bend }) => bend)).toEqual([null, 0, null, 1, null, 2, null]);
  });

  it("joins without a gap, from the pipe's start to its end", () => {
    pieces.slice(1).forEach((piece, index) => {
      const before = pieces[index]?.points.at(-1);
      const begin = piece.points[0];
      expect(before && begin ? apart(before, begin) : 1).toBeLessThan(1e-6);
    });
    expect(points[0]).toEqual(GOLDEN.path[0]);
    expect(points.at(-1)).toEqual(GOLDEN.path.at(-1));
  });

  it("is as long as the cut, less what chords fall short of arcs", () => {
    const length = points
      .slice(1)
      .reduce((sum, point, index) => sum + apart(point, points[index] ?? point), 0);
    expect(length).toBeLessThanOrEqual(GOLDEN.cut_length + 1e-6);
    expect(length).toBeGreaterThan(GOLDEN.cut_length - 0.05);
  });

  it("keeps every arc at the bender's radius from its centre", () => {
    const arc = pieces[5]?.points ?? [];
    const [begin, middle, end] = [arc[0], arc[5], arc[10]];
    if (!begin || !middle || !end) {
      throw new Error("no arc");
    }
    // A circle through three points: R = abc / 4K.
    const [a, b, c] = [apart(begin, middle), apart(middle, end), apart(end, begin)];
    const half = (a + b + c) / 2;
    const area = Math.sqrt(half * (half - a) * (half - b) * (half - c));
    expect((a * b * c) / (4 * area)).toBeCloseTo(GOLDEN.bender.radius, 6);
  });

  it("draws the bare corners where there is no pipe", () => {
    const bare = centreline(GOLDEN.path, []);
    expect(bare).toHaveLength(1);
    expect(bare[0]?.points).toEqual(GOLDEN.path);
  });
});

describe("the points of a line", () => {
  it("are those of its pieces", () => {
    expect(linePoints(GOLDEN.path, GOLDEN.arcs)).toEqual(points);
    expect(
      linePoints(
        [
          [0, 0, 0],
          [9, 0, 0],
        ],
        [],
      ),
    ).toEqual([
      [0, 0, 0],
      [9, 0, 0],
    ]);
    expect(linePoints([], [])).toEqual([]);
  });
});
