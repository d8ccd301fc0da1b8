import "fake-indexeddb/auto";
import { beforeEach, expect, test, vi } from "vitest";
import {
  asKept,
  begun,
  begunBefore,
  benchHere,
  cameOut,
  elsewhereOf,
  fromKept,
  keepBench,
  progressOf,
  withReadings,
} from "./bench";
import { closeOnDevice, keepOnDevice } from "./onDevice";

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

test("a piece is found where it was left, and begun anew by another version of the run", async () => {
  await keepBench(7, 1, { progress: { ...begun(3), at: 2 } });
  await keepBench(7, 1, { seen: 4 });
  await closeOnDevice();
  const here = await benchHere(7, 1);
  expect([progressOf(here, 3).at, here.seen]).toEqual([2, 4]);
  expect(progressOf(await benchHere(7, 2), 3).at).toBe(0);
  expect(progressOf(here, 4).at).toBe(0);
  expect([begunBefore(here, 4), begunBefore(here, 3)]).toEqual([true, false]);
});

test("a piece that was kept the old way is gone on with", async () => {
  kept.set("yarrow.bench.8.0", JSON.stringify({ shape: 1, value: { ...begun(3), at: 2 } }));
  kept.set("yarrow.bench.8.0.seen", JSON.stringify({ shape: 1, value: 5 }));
  const here = await benchHere(8, 0);
  expect([progressOf(here, 3).at, here.seen]).toEqual([2, 5]);
});

test("what another program left there is not believed", async () => {
  await keepOnDevice("bench", "7.1", { shape: 1, seen: 0, progress: { version: "3", at: {} } });
  expect(progressOf(await benchHere(7, 1), 3)).toEqual(begun(3));
  await keepOnDevice("bench", "7.1", { shape: 9, seen: 4, progress: { ...begun(3), at: 2 } });
  expect(await benchHere(7, 1)).toEqual({ progress: null, seen: 0 });
});

test("where the device keeps nothing, the piece begins and it is known that it is not kept", async () => {
  vi.spyOn(indexedDB, "open").mockImplementation(() => {
    throw new Error("no store");
  });
  await closeOnDevice();
  expect(await benchHere(9, 0)).toEqual({ progress: null, seen: 0 });
  await expect(keepBench(9, 0, { progress: begun(3) })).rejects.toThrow("no store");
});

test("another device has it as it was left, with what waits ahead", () => {
  const read = withReadings({ ...begun(3), at: 3, held: 2 }, 2, { angle: 88 });
  const ahead = withReadings(read, 1, { twist: 3 });
  const kept = asKept(ahead, STEPS, "in");
  expect(kept.made).toEqual([{ bend: 0 }, { bend: 2, angle: 88 }, { bend: 1, twist: 3 }]);
  expect(fromKept(kept)).toEqual(ahead);
});

test("another device is told of where it has the same run's piece in a version not seen here", () => {
  const document = { ...asKept({ ...begun(4), at: 3 }, [], "in"), run_version: 4 };
  const there = { document, version: 7, updated_by: "Rook Tansley" };
  expect(elsewhereOf(there, 6, 4)).toMatchObject({ who: "Rook Tansley", progress: { at: 3 } });
  expect(elsewhereOf(there, 7, 4)).toBeNull();
  expect(elsewhereOf(there, 6, 5)).toBeNull();
  expect(elsewhereOf({ ...there, document: null }, 6, 4)).toBeNull();
  expect(elsewhereOf(undefined, 0, 4)).toBeNull();
});
