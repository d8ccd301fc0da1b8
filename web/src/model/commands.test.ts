import { describe, expect, it } from "vitest";
import {
  addLine,
  moveLine,
  pick,
  placeOf,
  removeLine,
  setAtPath,
  setBendStance,
  setLoose,
  setStance,
  setStart,
} from "./commands";
import { emptyRun, type RunDocument, walkOf } from "./document";

const run: RunDocument = {
  ...emptyRun("Test", "in", { type: "emt", size: "1/2" }, "hand-emt-1/2"),
  walk: [
    { kind: "offset", at: "52 3/4 - 2 7/8", rise: "4 3/8", toward: "left", angle: 30 },
    { kind: "turn", at: "7' 2", toward: "left" },
    { kind: "end", at: 34, from: "back" },
  ],
};
const TURN = { kind: "turn", at: "", toward: "left" } as const;
const OFFSET = { kind: "offset", at: "", rise: "", toward: "left", angle: 30 } as const;
const BOX = { kind: "box", where: "start", knockout: "" } as const;
const kinds = (document: RunDocument) => walkOf(document).map(({ kind }) => kind);

describe("commands", () => {
  it("adds a line before the end", () => {
    expect(kinds(addLine(TURN)(run))).toEqual(["offset", "turn", "turn", "end"]);
  });

  it("moves lines among themselves and never past the end", () => {
    expect(kinds(moveLine(0, 1)(run))).toEqual(["turn", "offset", "end"]);
    expect(kinds(moveLine(1, 1)(run))).toEqual(["offset", "turn", "end"]);
    expect(kinds(moveLine(0, -1)(run))).toEqual(["offset", "turn", "end"]);
    expect(kinds(moveLine(2, -1)(run))).toEqual(["offset", "turn", "end"]);
  });

  it("removes a line", () => {
    expect(kinds(removeLine(0)(run))).toEqual(["turn", "end"]);
  });

  it("sets what a finding's touch names", () => {
    const mended = setAtPath("walk[0].angle", 22.5)(run);
    expect(walkOf(mended)[0]).toMatchObject({ angle: 22.5, rise: "4 3/8" });
    expect(setAtPath("bender", "hand-emt-1")(run).bender).toBe("hand-emt-1");
  });

  it("changes the start without forgetting the rest of it", () => {
    const labelled = setStart({ label: "isolator" })(run);
    expect(setStart({ kind: "hub" })(labelled).start).toEqual({ kind: "hub", label: "isolator" });
  });

  it("leaves the document that it was given as it was", () => {
    const before = JSON.stringify(run);
    addLine(OFFSET)(run);
    moveLine(0, 1)(run);
    expect(JSON.stringify(run)).toBe(before);
  });

  it("puts a box at the start first, and a new end in the place of the old one", () => {
    expect(placeOf(BOX, walkOf(run))).toBe(0);
    expect(kinds(addLine(BOX)(run))).toEqual(["box", "offset", "turn", "end"]);
    const ended = addLine({ kind: "end", at: "29 5/8", fitting: "hub" })(run);
    expect(kinds(ended)).toEqual(["offset", "turn", "end"]);
    expect(walkOf(ended).at(-1)).toMatchObject({ at: "29 5/8", fitting: "hub" });
  });

  it("picks bends for what is there, and an angle in the place of a length to fit into", () => {
    const met = addLine({ kind: "round", at: "40", across: "2", toward: "out" })(run);
    expect(walkOf(pick("walk[2].pick", "saddle3 30")(met))[2]).toMatchObject({
      pick: "saddle3 30",
    });
    const within = setAtPath("walk[0].within", "12")(run);
    const picked = walkOf(pick("walk[0].angle", 22.5)(within))[0];
    expect(picked).toMatchObject({ angle: 22.5, within: undefined });
  });

  it("lets numbers float and holds them again, leaving nothing behind", () => {
    const one = setLoose(0, "at", true)(run);
    const both = setLoose(0, "rise", true)(one);
    expect(walkOf(both)[0]).toMatchObject({ loose: ["at", "rise"] });
    expect(walkOf(setLoose(0, "rise", true)(both))[0]).toMatchObject({ loose: ["at", "rise"] });
    const held = setLoose(0, "rise", false)(setLoose(0, "at", false)(both));
    expect(walkOf(held)[0]).not.toHaveProperty("loose");
    expect(walkOf(held)).toEqual(walkOf(run));
  });

  it("takes a list of loose numbers from a finding's touch", () => {
    const let_ = setAtPath("walk[1].loose", ["at"])(run);
    expect(walkOf(let_)[1]).toMatchObject({ loose: ["at"] });
  });

  it("mends a rack's spacing, and nothing where there is no rack", () => {
    const racked: RunDocument = { ...run, rack: { count: 3, side: "left", spacing: "1/2" } };
    expect(setAtPath("rack.spacing", "3/4")(racked).rack?.spacing).toBe("3/4");
    expect(setAtPath("rack.spacing", "3/4")(run)).toEqual(run);
  });

  it("says where the bender is worked, and nothing of it once nothing is said", () => {
    const high = setStance({ place: "stand", height: "30" })(run);
    expect(high.stance).toEqual({ place: "stand", height: "30" });
    expect(setStance({ place: undefined, height: undefined })(high).stance).toBeUndefined();
  });

  it("says where one bend is made, once for each, and takes it back", () => {
    const both = setBendStance(2, "floor")(setBendStance(0, "air")(setBendStance(2, "air")(run)));
    expect(both.stances).toEqual([
      { bend: 0, place: "air" },
      { bend: 2, place: "floor" },
    ]);
    const one = setBendStance(0, undefined)(both);
    expect(one.stances).toEqual([{ bend: 2, place: "floor" }]);
    expect(setBendStance(2, undefined)(one).stances).toBeUndefined();
  });
});
