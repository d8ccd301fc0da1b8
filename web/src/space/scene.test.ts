import { Vector3 } from "three";
import { describe, expect, it } from "vitest";
import type { Plan } from "@/model/document";
import { GOLDEN } from "@/model/golden.test-data";
import { extent, placed, solids, surface, tubes } from "./scene";

const thing = (kind: Plan["things"][number]["kind"]): Plan["things"][number] => ({
  kind,
  feature: 0,
  label: "",
  at: [10, 0, 3],
  ahead: [1, 0, 0],
  toward: [0, 0, 1],
  along: 4,
  height: 3,
});
const withThings = (...kinds: Plan["things"][number]["kind"][]): Plan => ({
  ...GOLDEN,
  things: kinds.map(thing),
});

describe("the shape in space", () => {
  it("has out upward, ahead to the right and left away from the eye", () => {
    expect(placed([1, 0, 0])).toEqual(new Vector3(1, 0, -0));
    expect(placed([0, 0, 1]).y).toBe(1);
    expect(placed([0, 1, 0]).z).toBe(-1);
  });

  it("has a tube for every straight and every bend, in order", () => {
    expect(tubes(GOLDEN).map(({ bend }) => bend)).toEqual([null, 0, null, 1, null, 2, null]);
  });

  it("is as thick as the pipe", () => {
    const [first] = tubes(GOLDEN);
    first?.geometry.computeBoundingBox();
    const box = first?.geometry.boundingBox;
    expect((box?.max.y ?? 0) - (box?.min.y ?? 0)).toBeCloseTo(GOLDEN.conduit.diameter, 1);
  });

  it("stands blocks and round things below their near corner, to scale", () => {
    const [block, round] = solids(withThings("ledge", "round"));
    expect(block).toMatchObject({ kind: "block", size: [4, 3, expect.any(Number)] });
    // From 10 to 14 along, from 0 to 3 off the surface.
    expect(block?.centre).toEqual(placed([12, 0, 1.5]));
    expect(round?.kind).toBe("round");
  });

  it("puts a box beyond the face that the pipe starts from", () => {
    const [box] = solids(withThings("box"));
    expect(box?.kind).toBe("fitting");
    expect(box?.centre.x).toBeGreaterThan(10);
  });

  it("puts a hole at its middle", () => {
    const [hole] = solids(withThings("hole"));
    expect(hole?.centre).toEqual(placed([10, 0, 3]));
  });

  it("reaches over the whole run, and so does the surface under it", () => {
    const { centre, reach } = extent(GOLDEN);
    for (const point of GOLDEN.path) {
      const [x = 0, y = 0, z = 0] = point;
      expect(centre.distanceTo(placed([x, y, z]))).toBeLessThanOrEqual(reach + 1e-9);
    }
    const under = surface(GOLDEN);
    const longest = Math.max(...GOLDEN.path.map(([x = 0]) => x));
    expect(under.size[0]).toBeGreaterThan(longest);
    expect(under.centre.y).toBeCloseTo(-GOLDEN.conduit.diameter / 2);
  });

  it("lies on a surface that is five pipes wider on every side", () => {
    // The run goes 71.272 along and 38.147 to the left; the pipe is 0.706 thick.
    const { centre, size } = surface(GOLDEN);
    expect(centre.x).toBeCloseTo(35.636);
    expect(centre.y).toBeCloseTo(-0.353);
    expect(centre.z).toBeCloseTo(-19.0735);
    expect(size[0]).toBeCloseTo(78.332);
    expect(size[1]).toBeCloseTo(45.207);
  });
});
