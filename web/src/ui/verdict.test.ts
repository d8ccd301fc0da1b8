import { describe, expect, it } from "vitest";
import { standing } from "./Verdict";

describe("how an answer stands", () => {
  it.each([
    [true, [], "fits"],
    [true, [{ level: "note" }], "fits"],
    [true, [{ level: "note" }, { level: "warning" }], "warned"],
    [false, [{ level: "warning" }], "full"],
    [false, [], "full"],
  ] as const)("passes %s with %o: %s", (passes, findings, stands) => {
    expect(standing(passes, findings)).toBe(stands);
  });
});
