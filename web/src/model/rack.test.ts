import { describe, expect, it } from "vitest";
import { emptyRun } from "./document";
import { removeRack, setBuilt, setRack, setRackPipe, startRack } from "./rack";

const run = emptyRun("Test", "in", { type: "emt", size: "1/2" }, "hand-emt-1/2");
const racked = startRack()(run);
const inch = { conduit: { type: "emt", size: "1" }, bender: "hand-emt-1" };

describe("a rack", () => {
  it("starts as three pipes and goes without a trace", () => {
    expect(racked.rack).toEqual({ count: 3, side: "left", spacing: "3" });
    expect(removeRack()(racked)).toEqual(run);
  });

  it("keeps the spacing as it is typed", () => {
    expect(setRack({ spacing: "2 1/" })(racked).rack?.spacing).toBe("2 1/");
  });

  it("has pipes like the first up to the one that is not", () => {
    const pipes = setRackPipe(2, inch)(racked).rack?.pipes;
    expect(pipes?.map(({ conduit }) => conduit.size)).toEqual(["1/2", "1"]);
  });

  it("forgets what was told of pipes that there are no more", () => {
    const told = setBuilt(2, [{ bend: 0, angle: 91 }])(setRackPipe(2, inch)(racked));
    expect(setRack({ count: 2 })(told).rack).toEqual({
      count: 2,
      side: "left",
      spacing: "3",
      pipes: [{ conduit: run.conduit, bender: run.bender }],
    });
  });

  it("is told anew how a pipe was built, and no more of it where nothing is told", () => {
    const told = setBuilt(0, [{ bend: 0, angle: 91 }])(racked);
    expect(setBuilt(0, [{ bend: 1, mark: "14" }])(told).rack?.built).toEqual([
      { pipe: 0, bends: [{ bend: 1, mark: "14" }] },
    ]);
    expect(setBuilt(0, [])(told).rack).toEqual(racked.rack);
  });

  it("is not made of a run without one", () => {
    expect(setRack({ count: 4 })(run)).toEqual(run);
  });
});
