import { expect, test } from "vitest";
import { canBeMade, type Plan, troubledBends, workingMarks } from "./document";
import { GOLDEN } from "./golden.test-data";

function plan(...findings: readonly (readonly [level: string, ...bends: number[]])[]): Plan {
  return { ...GOLDEN, findings: findings.map(([level, ...bends]) => ({ level, bends })) } as Plan;
}

test("of a bend the gravest word stands; a note troubles none", () => {
  const found = troubledBends(plan(["error", 1], ["warning", 0, 1], ["note", 2]));
  expect([...found].toSorted()).toEqual([
    [0, "warning"],
    [1, "error"],
  ]);
});

test("a run with an error has no marks to put on a pipe; one with warnings has", () => {
  expect(canBeMade(plan(["warning", 0], ["note"]))).toBe(true);
  expect(workingMarks(plan(["warning", 0]))).toBe(GOLDEN.marks);
  expect(canBeMade(plan(["warning", 0], ["error"]))).toBe(false);
  expect(workingMarks(plan(["error", 0]))).toEqual([]);
});
