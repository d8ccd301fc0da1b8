import { describe, expect, it } from "vitest";
import type { WallPlan } from "@/api/walls";
import { faceAt, faceOf, levelled, nextFace, placedWhere } from "./wallPlaces";

/** Studs of 1 1/2 at 16, and a window with two of them on either side: its frame is 37 to 63. */
const PLAN = {
  units: "in",
  studs: [
    { number: 1, begins: 0, ends: 1.5 },
    { number: 2, begins: 15.25, ends: 16.75 },
    { number: 3, begins: 31.25, ends: 32.75 },
    { number: 0, begins: 37, ends: 38.5 },
  ],
  openings: [{ name: "Window", begins: 40, ends: 60 }],
  boxes: [{ top: 48 }],
} as unknown as WallPlan;
const face = (stud: number, side: "left" | "right", beside = "") => ({ stud, beside, side });

describe("a box that is moved", () => {
  const box = { begins: 16.75, ends: 20.75 };

  it("stands against the face that its middle is nearest to", () => {
    // Its middle is at 18 3/4 on the right of stud 2, at 29 1/4 on the left of stud 3.
    expect(faceAt(PLAN, box, 23.9)).toEqual(face(2, "right"));
    expect(faceAt(PLAN, box, 24.1)).toEqual(face(3, "left"));
    expect(faceAt(PLAN, box, 36)).toEqual(face(1, "left", "Window"));
    expect(faceAt(PLAN, box, 64)).toEqual(face(1, "right", "Window"));
  });

  it("is known by the face that it touches", () => {
    expect(faceOf(PLAN, { ...box, side: "right" })).toEqual(face(2, "right"));
    expect(faceOf(PLAN, { begins: 27.25, ends: 31.25, side: "left" })).toEqual(face(3, "left"));
  });

  it("goes from face to face by keys, past a window, and stops at the ends", () => {
    expect(nextFace(PLAN, face(2, "right"), 1)).toEqual(face(3, "left"));
    expect(nextFace(PLAN, face(2, "right"), -1)).toEqual(face(2, "left"));
    expect(nextFace(PLAN, face(1, "left"), 1)).toEqual(face(1, "right"));
    expect(nextFace(PLAN, face(1, "left"), -1)).toEqual(face(1, "left"));
    expect(nextFace(PLAN, face(3, "right"), 1)).toEqual(face(1, "left", "Window"));
    expect(nextFace(PLAN, face(1, "left", "Window"), 1)).toEqual(face(1, "right", "Window"));
    expect(nextFace(PLAN, face(1, "right", "Window"), 1)).toEqual(face(1, "right", "Window"));
  });

  it("is level with what is nearly as high, else on a step of the tape", () => {
    expect(levelled(PLAN, 16.2, [17])).toBe(17);
    expect(levelled(PLAN, 16.2, [17.7])).toBe(16);
    expect(levelled(PLAN, 16.3, [])).toBe(16.5);
    const metric = { ...PLAN, units: "mm" } as WallPlan;
    expect(levelled(metric, 403, [425])).toBe(425);
    expect(levelled(metric, 403, [440])).toBe(400);
  });

  it("is put where the wall is tapped, level with its neighbours", () => {
    expect(placedWhere(PLAN, 18, 47)).toEqual({ ...face(2, "right"), height: 48 });
    expect(placedWhere(PLAN, 18, 16.1)).toEqual({ ...face(2, "right"), height: 16 });
  });
});
