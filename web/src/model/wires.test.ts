import { describe, expect, it } from "vitest";
import { emptyRun } from "./document";
import {
  addedConductors,
  setPull,
  setWires,
  sizeName,
  startWires,
  typedNumber,
  withConductor,
  withoutConductor,
} from "./wires";
import { withoutEmpty } from "./without";

const RUN = emptyRun("Run 1", "in", { type: "emt", size: "1/2" }, "hand-emt-1/2");
const NINE = { count: 9, insulation: "thhn", size: "12" };

describe("the list", () => {
  const wires = addedConductors({}, [NINE, { count: 1, diameter: "0.43" }]);

  it("changes and takes out a line by its place", () => {
    expect(withConductor(wires, 0, { count: 4 }).conductors[0]?.count).toBe(4);
    expect(withConductor(wires, 0, { count: 4 }).conductors[1]).toEqual(wires.conductors[1]);
    expect(withoutConductor(wires, 0).conductors).toEqual([{ count: 1, diameter: "0.43" }]);
  });
});

describe("a run's wires", () => {
  it("leave out of the document what says nothing", () => {
    const wired = setWires({ conductors: [NINE], spare: 20 })(RUN);
    expect(setWires({ spare: undefined })(wired).wires).toEqual({ conductors: [NINE] });
    expect(withoutEmpty<{ a?: string; b?: number }>({ a: "", b: 0 })).toEqual({ b: 0 });
  });

  it("begin by the rules of the job", () => {
    expect(startWires("us")(RUN).wires).toEqual({ conductors: [], method: "area" });
    expect(startWires("uk")(RUN).wires).toEqual({ conductors: [] });
  });

  it("say nothing of the pull where nothing is told of it", () => {
    const pulled = setPull({ mass: 2 })(RUN);
    expect(pulled.wires?.pull).toEqual({ mass: 2 });
    expect(setPull({ mass: undefined })(pulled).wires).toEqual({});
  });
});

it("names sizes as people say them", () => {
  expect(["12", "4/0", "250"].map(sizeName)).toEqual(["12 AWG", "4/0 AWG", "250 kcmil"]);
});

it("reads a number only where there is one", () => {
  expect([typedNumber(" 2.5 "), typedNumber(""), typedNumber("2,"), typedNumber("x")]).toEqual([
    2.5,
    undefined,
    undefined,
    undefined,
  ]);
});
