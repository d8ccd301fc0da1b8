import { expect, it } from "vitest";
import { takeConduit, takeSize } from "./conduit";
import { emptyRun } from "./document";

const HALF = { type: "emt", size: "1/2" };
const INCH = { type: "emt", size: "1" };
const BENDERS = [
  { id: "half", takes: [HALF] },
  { id: "both", takes: [HALF, INCH] },
];
const RUN = emptyRun("Run 1", "in", HALF, "half");

it("takes a bender whose shoe takes the new size", () => {
  expect(takeSize(BENDERS, "1")(RUN)).toMatchObject({ conduit: INCH, bender: "both" });
});

it("keeps the bender where it takes the new conduit too", () => {
  expect(takeConduit(BENDERS, INCH)({ ...RUN, bender: "both" }).bender).toBe("both");
});

it("keeps the bender where none takes it: the plan says so", () => {
  expect(takeSize(BENDERS, "4")(RUN)).toMatchObject({ bender: "half", conduit: { size: "4" } });
});
