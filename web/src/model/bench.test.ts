import { beforeEach, expect, test, vi } from "vitest";
import {
  asKept,
  begun,
  begunBefore,
  cameOut,
  fromKept,
  keepProgress,
  progressOf,
  withReadings,
} from "./bench";

const STEPS = [{ bend: null }, { bend: 0 }, { bend: 2 }, { bend: 1 }];
const kept = new Map<string, string>();

beforeEach(() => {
  kept.clear();
  // Two that are begun one after the other are begun at one time here.
  vi.spyOn(Date, "now").mockReturnValue(1_764_100_000_000);
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  });
});

test("bends behind are made, with what was read of them", () => {
  const progress = withReadings({ ...begun(3), at: 3 }, 2, { angle: 88 });
  expect(cameOut(progress, STEPS, "in")).toEqual({
    format: "yarrow.bench/1",
    units: "in",
    made: [{ bend: 0 }, { bend: 2, angle: 88 }],
  });
});

test("what was read of a bend that is still ahead waits", () => {
  const progress = withReadings({ ...begun(3), at: 2 }, 2, { angle: 88 });
  expect(cameOut(progress, STEPS, "mm").made).toEqual([]);
});

test("bends made since the last reading ask for nothing", () => {
  const progress = withReadings({ ...begun(3), at: 2 }, 0, { angle: 31 });
  const later = { ...progress, at: 4 };
  expect(cameOut(later, STEPS, "in")).toEqual(cameOut(progress, STEPS, "in"));
});

test("a reading that is taken back leaves none", () => {
  const read = withReadings(begun(1), 0, { angle: 31 });
  expect(withReadings(read, 0, {}).readings).toEqual({});
});

test("a piece is found where it was left, and begun anew by another version of the run", () => {
  keepProgress(7, 1, { ...begun(3), at: 2 });
  expect(progressOf(7, 1, 3).at).toBe(2);
  expect(progressOf(7, 2, 3).at).toBe(0);
  expect(progressOf(7, 1, 4).at).toBe(0);
  expect(begunBefore(7, 1, 4)).toBe(true);
  expect(begunBefore(7, 1, 3)).toBe(false);
});

test("what another program left there is not believed", () => {
  kept.set("yarrow.bench.7.1", '{"shape":1,"value":{"version":3,"at":"two"}}');
  expect(progressOf(7, 1, 3)).toEqual(begun(3));
});

test("another device has it as it was left, with what waits ahead", () => {
  const read = withReadings({ ...begun(3), at: 3, held: 2 }, 2, { angle: 88 });
  const ahead = withReadings(read, 1, { twist: 3 });
  const kept = asKept(ahead, STEPS, "in");
  expect(kept.made).toEqual([{ bend: 0 }, { bend: 2, angle: 88 }, { bend: 1, twist: 3 }]);
  expect(fromKept(kept)).toEqual(ahead);
});
