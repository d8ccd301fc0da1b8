import { describe, expect, it } from "vitest";
import { setAtPath } from "./commands";
import type { RunDocument } from "./document";
import {
  addJoint,
  inOnePiece,
  partIt,
  putJoint,
  removeJoint,
  setEnd,
  setJoint,
  setJoints,
  setNear,
  setUpright,
  takeClosing,
  takePlaces,
  tick,
} from "./joints";

const run = { format: "yarrow.run/1", units: "in", walk: [] } as unknown as RunDocument;
const parted = partIt()(run);

describe("joints", () => {
  it("are left to Yarrow at first, and gone with one piece", () => {
    expect(parted.joints).toEqual({});
    expect(inOnePiece()(parted)).toEqual(run);
  });

  it("forget a coupling that is the usual one again", () => {
    const union = setJoints({ coupling: "union" })(parted);
    expect(union.joints).toEqual({ coupling: "union" });
    expect(setJoints({ coupling: undefined })(union).joints).toEqual({});
  });

  it("are a person's own from a way that is taken, until none is left", () => {
    const own = takePlaces([
      { leg: 1, at: "40" },
      { leg: 2, at: "12 1/2" },
    ])(parted);
    expect(own.joints?.places).toEqual([{ at: "40" }, { leg: 2, at: "12 1/2" }]);
    expect(removeJoint(0)(removeJoint(0)(own)).joints).toEqual({});
    expect(takePlaces(null)(own).joints).toEqual({});
  });

  it("can be put, moved and measured to the coupling's near end", () => {
    const put = setJoint(0, { at: "33", to: "near" })(addJoint(1)(parted));
    expect(put.joints?.places).toEqual([{ at: "33", to: "near" }]);
  });

  it("are put beside those that there are, Yarrow's own too", () => {
    const found = [{ leg: 1, at: "119 5/16" }];
    const first = putJoint(found, { leg: 2, at: "40" })(parted);
    expect(first.joints?.places).toEqual([{ at: "119 5/16" }, { leg: 2, at: "40" }]);
    const again = putJoint(found, { leg: 1, at: "20" })(first);
    expect(again.joints?.places).toHaveLength(3);
  });

  it("are moved by what mends them", () => {
    const put = takePlaces([{ leg: 2, at: "40" }])(parted);
    expect(setAtPath("joints.places[0].at", "38 1/2")(put).joints?.places).toEqual([
      { leg: 2, at: "38 1/2" },
    ]);
  });

  it("remember how an end is held, until it is fixed again", () => {
    const off = setEnd("end", "comes-off")(run);
    expect(off.joints?.ends).toEqual({ end: "comes-off" });
    expect(setEnd("end", "fixed")(off).joints).toEqual({});
  });

  it("are closed as a person picks, with the joint more that it takes", () => {
    const by = { by: "union", at: 2 } as const;
    expect(takeClosing(by, [])(run).joints).toEqual({ closing: by });
    expect(takeClosing(by, [{ leg: 2, at: "14" }])(run).joints).toEqual({
      closing: by,
      places: [{ leg: 2, at: "14" }],
    });
  });

  it("tick work off once, and open it again", () => {
    const done = tick("0-label-1", true)(tick("0-label-1", true)(run));
    expect(done.done).toEqual(["0-label-1"]);
    expect(tick("0-label-1", false)(done)).toEqual(run);
  });

  it("remember what stands near, and which legs stand upright", () => {
    const near = setNear(0, { off: "18" })(run);
    expect(near.joints?.near).toEqual([{ what: "floor", toward: "right", off: "18" }]);
    expect(setNear(0, { what: "wall" })(near).joints?.near?.[0]?.what).toBe("wall");
    expect(setNear(0, null)(near).joints).toEqual({});
    const upright = setUpright(1, true)(setUpright(3, true)(run));
    expect(upright.joints?.upright).toEqual([1, 3]);
    expect(setUpright(3, false)(setUpright(1, false)(upright)).joints).toEqual({});
  });
});
