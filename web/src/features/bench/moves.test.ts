import { expect, test, vi } from "vitest";
import { movesOf } from "./moves";
import type { useBench } from "./useBench";

type Bench = ReturnType<typeof useBench>;

/** A piece of two bends, which are steps 2 and 3 of it; what is to be mended is bend 1. */
function bench(at: number, more: object = {}) {
  const steps = [{}, { bend: 1 }, { bend: 0 }];
  const made = {
    plan: { order: { steps }, mend: [] },
    progress: { at, readings: { 1: { angle: 92 } } },
    go: vi.fn(),
    read: vi.fn(),
    old: false,
    ...more,
  };
  return { made, moves: movesOf(made as unknown as Bench) };
}

test("on and back go by one step, and a bend is told where one is bent", () => {
  const { made, moves } = bench(1);
  moves.onward();
  moves.back();
  expect(made.go.mock.calls).toEqual([[2], [0]]);
  expect(moves.bend).toBe(1);
  expect(bench(0).moves.bend).toBeNull();
  expect(bench(3).moves.step).toBeUndefined();
});

const MENDING = {
  plan: { order: { steps: [{}, { bend: 1 }, { bend: 0 }] }, mend: [{ bend: 1 }] },
};

test("while a bend waits to be mended, on means that it is, and back is to its own step", () => {
  const { made, moves } = bench(2, MENDING);
  expect(moves.bend).toBeNull();
  moves.onward();
  expect(made.read).toHaveBeenCalledWith(1, { angle: 92, done: true });
  moves.mended({ as_is: true });
  expect(made.read).toHaveBeenLastCalledWith(1, { angle: 92, as_is: true });
  moves.back();
  expect(made.go.mock.calls).toEqual([[1]]);
});

test("what is not answered yet is not told twice", () => {
  const { made, moves } = bench(2, { ...MENDING, old: true });
  moves.onward();
  expect(made.read).not.toHaveBeenCalled();
});
