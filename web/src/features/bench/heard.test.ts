import { expect, test } from "vitest";
import { heard } from "./heard";

test("a command is the last word of what was said", () => {
  expect(heard("okay next")).toEqual({ word: "next" });
  expect(heard("Go back")).toEqual({ word: "back" });
  expect(heard("say that again")).toEqual({ word: "repeat" });
});

test("a reading takes its word with it", () => {
  expect(heard("angle 89 and a half")).toEqual({ word: "angle", degrees: 89.5 });
  expect(heard("it stayed at 31°")).toEqual({ word: "angle", degrees: 31 });
  expect(heard("Angle was 22,5 degrees")).toEqual({ word: "angle", degrees: 22.5 });
});

test("talk beside the bender moves nothing", () => {
  for (const talk of [
    "",
    "pass me 2 couplings",
    "next week we hang it",
    "angle 400",
    "the back is sore today",
  ]) {
    expect(heard(talk)).toBeNull();
  }
});
