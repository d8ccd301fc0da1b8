import { describe, expect, it } from "vitest";
import {
  addOffcut,
  asIsBest,
  cutWith,
  putTogether,
  removeOffcut,
  type StockDocument,
} from "./stock";

const empty: StockDocument = { format: "yarrow.jobstock/1", units: "in" };
const emt = { type: "emt", size: "1/2" };
const rigid = { type: "rmc", size: "1" };

describe("a job's stock", () => {
  it("takes offcuts in and out", () => {
    const hand = addOffcut({ ...emt, length: "39" })(addOffcut({ ...rigid, length: "12" })(empty));
    expect(removeOffcut(0)(hand).offcuts).toEqual([{ ...emt, length: "39" }]);
  });

  it("is cut with a wheel cutter, or as usual", () => {
    const wheel = cutWith("wheel")(empty);
    expect(wheel.kerf).toBe("0");
    expect(cutWith("saw")(wheel)).toEqual(empty);
  });

  it("puts a piece to one bar at a time", () => {
    const first = putTogether(emt, ["a", "b"])(empty);
    const other = putTogether(rigid, ["a", "z"])(first);
    expect(putTogether(emt, ["c", "b"])(other).together).toEqual([
      { ...rigid, names: ["a", "z"] },
      { ...emt, names: ["c", "b"] },
    ]);
  });

  it("leaves the other bars of a conduit as they were put together", () => {
    const first = putTogether(emt, ["a", "b"])(empty);
    expect(putTogether(emt, ["c", "d"])(first).together).toEqual([
      { ...emt, names: ["a", "b"] },
      { ...emt, names: ["c", "d"] },
    ]);
  });

  it("lets Yarrow cut a conduit again", () => {
    const both = putTogether(rigid, ["y", "z"])(putTogether(emt, ["a", "b"])(empty));
    expect(asIsBest(emt)(both).together).toEqual([{ ...rigid, names: ["y", "z"] }]);
    expect(asIsBest(rigid)(asIsBest(emt)(both))).toEqual(empty);
  });
});
