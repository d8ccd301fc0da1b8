import { describe, expect, it } from "vitest";
import {
  documentOf,
  EMPTY_FORM,
  formOf,
  isDue,
  type KeptBender,
  keptBenderOf,
  NO_TEST,
} from "./benders";

const conduit = { type: "emt", size: "1/2" };
const test = { mark: "13 3/8", stick: "40", stub: "18 3/8", tail: "24 1/4" };
const row = { ...NO_TEST, ...test };
const form = { ...EMPTY_FORM, name: " Shed ", tests: [row], commanded: "92.5" };

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
      notes: "heel is bent",
      condition: "worn" as const,
      check_due: "2026-12-31",
    };
    expect(formOf(documentOf(whole, "in", conduit))).toEqual(whole);
  });

  it("keeps what the bench measured beside what was typed, and the label beside both", () => {
    const bent = { angle: 89.5, commanded: 92, of: "run 3, bend 1", when: "2026-11-26" };
    const typed = { ...test, angle: 45, clicks: 31 };
    const kept = { kind: "ratchet", name: "Shed", tests: [bent, typed], take_up: "5" } as const;
    const document = { format: "yarrow.bender/1", units: "in", conduit, bender: kept } as const;
    const back = formOf({ ...document, bender: { ...kept, tests: [...kept.tests] } });
    expect(back.tests.map(({ angle, of }) => [angle, of])).toEqual([
      ["89.5", bent.of],
      ["45", undefined],
    ]);
    const tests = [...back.tests, NO_TEST];
    expect(documentOf({ ...back, tests }, "in", conduit)).toEqual(document);
  });

  it("is due for a check from its day on", () => {
    expect(isDue({ check_due: "2026-11-26" }, "2026-11-26")).toBe(true);
    expect(isDue({ check_due: "2026-11-27" }, "2026-11-26")).toBe(false);
    expect(isDue({}, "2026-11-26")).toBe(false);
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

describe("a bender that a run took along", () => {
  const own = (kept: number, name: string) =>
    ({ id: `own-${kept}`, name, own: { kept, name } }) as unknown as KeptBender;
  const crew = [own(3, "The old half-inch"), own(4, "The new one")];
  const of = (kept: number, name: string) => keptBenderOf(crew, own(kept, name).own)?.id;

  it("is the crew's own of that number and that name", () => {
    expect(of(4, "The new one")).toBe("own-4");
    expect(of(4, "Another crew's")).toBeUndefined();
    expect(of(5, "The new one")).toBeUndefined();
  });

  it("is none of theirs where it is bought, or was never kept", () => {
    expect(keptBenderOf(crew, "hand-emt-1/2")).toBeUndefined();
    const unkept: unknown = { ...own(3, "The old half-inch").own, kept: undefined };
    expect(keptBenderOf(crew, unkept as KeptBender["own"])).toBeUndefined();
  });
});
