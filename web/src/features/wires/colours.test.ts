import { describe, expect, it } from "vitest";
import { partColours } from "@/drawing/colours";
import type { Part } from "@/model/wires";

function part(name: string, diameter: number | null, role: string): Part {
  return {
    name,
    diameter,
    role,
    count: 1,
    each: 0,
    total: 0,
    most: 0,
    room: 0,
    height: null,
    size: "",
    carries: true,
    circuit: null,
  };
}

const PARTS = [
  part("12 AWG THHN", 0.13, "line"),
  part("10 AWG THHN", 0.164, "line"),
  part("12 AWG THHN", 0.13, "neutral"),
  part("12 AWG bare", 0.081, "earth"),
];

describe("by size", () => {
  it("the widest has the first colour, and what is alike the same", () => {
    const colours = partColours(PARTS, "size", false);
    expect(colours[1]).toBe("var(--wire-1)");
    expect(colours[0]).toBe(colours[2]);
    expect(new Set(colours).size).toBe(3);
  });

  it("nothing is in any country's phase colours unless that is asked for", () => {
    expect(partColours(PARTS, "size", true).join()).not.toMatch(/us-|uk-/);
  });

  it("a cable that no table has the width of has a colour all the same", () => {
    expect(partColours([part("1 mm²", null, "line")], "size", true)).toEqual(["var(--wire-1)"]);
  });

  it("more kinds than colours begin again", () => {
    const many = Array.from({ length: 8 }, (_, at) => part(`kind ${at}`, 1 - at / 10, "line"));
    const colours = partColours(many, "size", false);
    expect(colours[6]).toBe(colours[0]);
    expect(new Set(colours).size).toBe(6);
  });
});

it("phase colours are those of the language", () => {
  expect(partColours(PARTS, "role", false)[3]).toContain("--us-earth");
  expect(partColours(PARTS, "role", true)[2]).toContain("--uk-neutral");
});
