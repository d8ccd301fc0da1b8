import { describe, expect, it } from "vitest";
import { stillToTurn } from "./turning";

const UP = [5, 0, 1] as const;
const AWAY = [5, 1, 0] as const;
const NEARER = [5, -1, 0];

describe("what is still to turn", () => {
  it("leans away where a quarter clockwise, seen from the start at the left, puts it upright", () => {
    expectPoint(stillToTurn([...UP], 90, "end"), AWAY);
  });

  it("leans toward who looks where the start is at the right", () => {
    expectPoint(stillToTurn([...UP], 90, "start"), NEARER);
  });

  it("leans the other way for a turn the other way", () => {
    expectPoint(stillToTurn([...UP], -90, "end"), NEARER);
  });

  it("goes on round: what leans away comes to hang down", () => {
    expectPoint(stillToTurn([...AWAY], 90, "end"), [5, 0, -1]);
  });

  it("is in its place when nothing is left", () => {
    expectPoint(stillToTurn([5, 2, 3], 0, "end"), [5, 2, 3]);
  });
});

function expectPoint(found: readonly number[], wanted: readonly number[]) {
  found.forEach((value, axis) => {
    expect(value).toBeCloseTo(wanted[axis] ?? Number.NaN, 9);
  });
}
