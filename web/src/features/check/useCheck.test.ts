import { expect, it } from "vitest";
import { problemAt } from "@/state/useCheck";

const PROBLEMS = new Map([
  ["conductors[1].size", "one of 14, 12"],
  ["conductors[11].count", "a whole number"],
  ["length", "a length"],
]);

it("finds what can't be read at a field or below it, and at no other", () => {
  expect(problemAt(PROBLEMS, "length")).toBe("a length");
  expect(problemAt(PROBLEMS, "conductors[1]")).toBe("one of 14, 12");
  expect(problemAt(PROBLEMS, "conductors[11]")).toBe("a whole number");
  expect(problemAt(PROBLEMS, "conductors[0]")).toBeUndefined();
  expect(problemAt(PROBLEMS, "len")).toBeUndefined();
});
