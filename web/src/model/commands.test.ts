import { describe, expect, it } from "vitest";
import { addLine, moveLine, removeLine, setAtPath, setStart, setUnits } from "./commands";
import { emptyRun, type RunDocument, walkOf } from "./document";

const run: RunDocument = {
  ...emptyRun("Test", "in", { type: "emt", size: "1/2" }, "hand-emt-1/2"),
  walk: [
    { kind: "offset", at: "52 3/4 - 2 7/8", rise: "4 3/8", toward: "left", angle: 30 },
    { kind: "turn", at: "7' 2", toward: "left" },
    { kind: "end", at: 34, from: "back" },
  ],
};
const kinds = (document: RunDocument) => walkOf(document).map(({ kind }) => kind);

describe("commands", () => {
  it("adds a line before the end", () => {
    expect(kinds(addLine("turn")(run))).toEqual(["offset", "turn", "turn", "end"]);
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

  it("keeps the meaning of what was typed when the unit changes", () => {
    const metric = setUnits("mm")(run);
    expect(walkOf(metric).map((line) => ("at" in line ? line.at : ""))).toEqual([
      "52 3/4 in - 2 7/8 in",
      "7' 2",
      "34 in",
    ]);
    expect(metric.round_to).toBe("1");
    expect(setUnits("in")(run)).toBe(run);
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
    addLine("offset")(run);
    moveLine(0, 1)(run);
    setUnits("mm")(run);
    expect(JSON.stringify(run)).toBe(before);
  });
});
