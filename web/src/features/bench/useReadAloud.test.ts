import { expect, test } from "vitest";
import { aloud } from "./useReadAloud";

test("signs are said as words", () => {
  expect(aloud("front mark on 8' 2 7/16\", bend to 31.5°")).toBe(
    "front mark on 8 feet 2 7/16 inches, bend to 31.5 degrees",
  );
});
