import { describe, expect, it } from "vitest";
import { floats } from "./Floating";

describe("floats", () => {
  it("offers the numbers of a line that can be let go, with how they stand", () => {
    const line = { kind: "turn", at: "40", toward: "left", loose: ["at"] } as const;
    expect(floats({ ...line, loose: [...line.loose] })).toEqual([
      { field: "at", word: "place", loose: true },
      { field: "angle", word: "angle", loose: false },
    ]);
  });

  it("offers nothing for what is there: that does not move to suit the pipe", () => {
    expect(floats({ kind: "round", at: "40", across: "2", toward: "out" })).toEqual([]);
  });
});
