import { expect, it } from "vitest";
import { parted } from "./reading";

it("parts a reading into whole, fraction and tail", () => {
  expect(parted("72 11/16")).toEqual({ whole: "72", over: "11", under: "16", tail: "" });
  expect(parted("9' 10 7/16\"")).toEqual({ whole: "9' 10", over: "7", under: "16", tail: '"' });
  expect(parted("−3/16")).toEqual({ whole: "−", over: "3", under: "16", tail: "" });
  expect(parted("618")).toEqual({ whole: "618", over: "", under: "", tail: "" });
});
