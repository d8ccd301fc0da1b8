import { describe, expect, it } from "vitest";
import type { Line } from "@/model/document";
import { KINDS } from "./kinds";
import { rowIsUsual } from "./usual";

function shown(line: Line): number {
  return KINDS[line.kind].quiet.filter((parts) => !rowIsUsual(parts, line)).length;
}

describe("what is usual of a line", () => {
  it("is nothing that a new line of any kind has", () => {
    for (const { newLine } of Object.values(KINDS)) {
      expect(shown(newLine)).toBe(0);
    }
  });

  it.each([
    [{ kind: "turn", at: "40", toward: "left", angle: 45 }, 1],
    [{ kind: "turn", at: "40", toward: "left", from: "centre" }, 1],
    [{ kind: "turn", at: "40", toward: "left", angle: 90, from: "back" }, 0],
    [{ kind: "end", at: "40", allowance: "1/2" }, 1],
    [{ kind: "end", at: "40", box: "Panel", meet: ["1", "2", "3"] }, 2],
    [{ kind: "saddle3", at: "40", rise: "2", toward: "out", clearance: "3/8" }, 1],
    [{ kind: "round", at: "40", across: "2", toward: "in" }, 1],
  ] as const)("shows what is not: %o", (line, rows) => {
    expect(shown(line as unknown as Line)).toBe(rows);
  });
});
