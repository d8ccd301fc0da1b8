import { expect, test } from "vitest";
import { asNumber } from "./fieldValues";

test("what is typed is a number, nothing, or text for the core to refuse", () => {
  expect(asNumber("12")).toBe(12);
  expect(asNumber(" 2.5 ")).toBe(2.5);
  expect(asNumber("0")).toBe(0);
  expect(asNumber("  ")).toBeUndefined();
  expect(asNumber("twelve")).toBe("twelve");
});
