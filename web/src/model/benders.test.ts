import { describe, expect, it } from "vitest";
import { documentOf, EMPTY_FORM, formOf, NO_TEST } from "./benders";

const conduit = { type: "emt", size: "1/2" };
const test = { mark: "13 3/8", stick: "40", stub: "18 3/8", tail: "24 1/4" };
const form = { ...EMPTY_FORM, name: " Shed ", tests: [test], commanded: "92.5" };

describe("a bender of one's own", () => {
  it("is kept with the tests as they were typed, and nothing that was left empty", () => {
    expect(documentOf(form, "in", conduit)).toEqual({
      format: "yarrow.bender/1",
      units: "in",
      conduit,
      bender: {
        kind: "hand",
        name: "Shed",
        tests: [test],
        springback: [{ commanded: 92.5, kept: 90 }],
      },
    });
  });

  it("is known by its numbers instead, when those are given", () => {
    const numbers = { ...EMPTY_FORM, by: "numbers" as const, radius: "4.471", take_up: "5" };
    const { bender } = documentOf(numbers, "in", conduit);
    expect(bender).toEqual({ kind: "hand", radius: "4.471", take_up: "5" });
  });

  it("comes back into the form as it was put in", () => {
    const whole = {
      ...form,
      name: "Shed",
      kind: "ratchet" as const,
      hook: "3",
      heel: "1 1/2",
      degrees_per_click: "1.5",
      place: "air" as const,
      marks: { front: "spur", back: "", centre: "notch" },
    };
    expect(formOf(documentOf(whole, "in", conduit))).toEqual(whole);
  });

  it("has a first test to fill in where it is known by its numbers", () => {
    const kept = documentOf(
      { ...EMPTY_FORM, by: "numbers", radius: "4", take_up: "5" },
      "in",
      conduit,
    );
    expect(formOf(kept).tests).toEqual([NO_TEST]);
  });
});
