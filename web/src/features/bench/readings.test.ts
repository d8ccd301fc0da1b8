import { expect, it } from "vitest";
import { READINGS, readingsOf, typingOf } from "./readings";

const OF = { language: "en-GB", units: "mm", angle: 29.996 } as const;

it("takes degrees as numbers however they are typed, and lengths as they are written", () => {
  expect(readingsOf({ angle: "88,5°", twist: "−4", stub: "12 3/8", slid: " " })).toEqual({
    angle: 88.5,
    twist: -4,
    stub: "12 3/8",
  });
});

it("leaves what is no number to the core, which says what it expected", () => {
  expect(readingsOf({ angle: "about 90" })).toEqual({ angle: "about 90" });
});

it("asks for the angle first, in the words of the job", () => {
  expect(READINGS[0]).toBe("angle");
  expect(typingOf("angle").placeholder(OF)).toBe("30");
  expect(typingOf("stub").label(OF)).toBe("Upstand, to its back");
  expect(typingOf("height").label(OF)).toBe("Height of the set");
  expect(typingOf("slid").label(OF)).toBe("Mark slid to the end, mm");
});
