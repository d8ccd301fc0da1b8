import { expect, it } from "vitest";
import { usual } from "./usual";

it("studs stand as they usually do in each unit, not converted", () => {
  expect(usual("wall", "studs", "in")).toEqual({ spacing: "16", width: "1 1/2", depth: "3 1/2" });
  expect(usual("wall", "studs", "mm")).toEqual({ spacing: "400", width: "38", depth: "89" });
});

it("what a cut takes is told of a job's stock as of a single list", () => {
  expect(usual("jobstock", "", "in").kerf).toBe("1/16");
});
