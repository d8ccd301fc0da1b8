import { expect, test } from "vitest";
import { sameDocument } from "./sameDocument";

test("the order of fields says nothing, that of a list does, at any depth", () => {
  const one = { name: "Feed", walk: [{ at: 1, kind: "end" }], rules: { b: null, a: 1 } };
  const other = { rules: { a: 1, b: null }, walk: [{ kind: "end", at: 1 }], name: "Feed" };
  expect(sameDocument(one, other)).toBe(true);
  expect(sameDocument([1, 2], [2, 1])).toBe(false);
  expect(sameDocument(one, { ...other, rules: { a: 1 } })).toBe(false);
  expect(sameDocument(one, { ...other, name: "Drop" })).toBe(false);
});
