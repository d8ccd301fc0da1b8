import { expect, it } from "vitest";
import { differences } from "./differences";

it("names what differs by path, and what each side says", () => {
  const mine = { walk: [{ at: "33" }, { at: "60" }], name: "A" };
  const theirs = { walk: [{ at: "36" }, { at: "60", label: "post" }], name: "A" };
  expect(differences(mine, theirs)).toEqual([
    { path: "walk[0].at", mine: "33", theirs: "36" },
    { path: "walk[1].label", mine: "not there", theirs: "post" },
  ]);
});
