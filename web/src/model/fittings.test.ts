import { describe, expect, it } from "vitest";
import { addFitting, inRun, removeFitting, setFitting } from "./fittings";

const none = { format: "yarrow.fittings/1" } as const;

describe("a crew's own fittings", () => {
  it("are added, changed and taken out", () => {
    const two = addFitting("mm")(addFitting("in")(none));
    const named = setFitting(1, { name: "Cast hub", beyond: "16" })(two);
    expect(named.fittings?.[1]).toEqual({
      name: "Cast hub",
      like: "hub",
      units: "mm",
      beyond: "16",
    });
    expect(removeFitting(0)(named).fittings).toHaveLength(1);
  });

  it("are carried by a run in its own units, or with theirs written behind", () => {
    const cast = { name: "Cast hub", like: "hub", units: "in", beyond: "5/8" } as const;
    expect(inRun(cast, "in")).toEqual({ kind: "hub", allowance: "5/8", own: "Cast hub" });
    expect(inRun(cast, "mm").allowance).toBe("5/8 in");
  });
});
