import { describe, expect, it } from "vitest";
import type { Plan } from "@/model/document";
import { bounds, fitInto, rackView, viewsOf } from "./views";

const along = (path: number[][]) => viewsOf({ path } as unknown as Plan).map(({ name }) => name);

describe("views", () => {
  it("shows the wall for a run that stays on it", () => {
    expect(
      along([
        [0, 0, 0],
        [9, 0, 0],
        [9, 9, 0],
      ]),
    ).toEqual(["wall"]);
  });

  it("shows a run that only leaves the wall from above", () => {
    expect(
      along([
        [0, 0, 0],
        [9, 0, 0],
        [9, 0, 9],
      ]),
    ).toEqual(["above"]);
  });

  it("adds the view along which a run goes furthest", () => {
    expect(
      along([
        [0, 0, 0],
        [90, 0, 2],
        [90, 9, 2],
      ]),
    ).toEqual(["wall", "above"]);
    expect(
      along([
        [0, 0, 0],
        [9, 0, 0],
        [9, -90, 3],
      ]),
    ).toEqual(["wall", "side"]);
  });

  it("shows a rack where its pipes lie beside each other", () => {
    const flat = [
      [0, 0, 0],
      [9, 0, 0],
      [9, 9, 0],
    ];
    const view = (path: number[][], side: "left" | "out") =>
      rackView({ path } as unknown as Plan, side).name;
    expect(view(flat, "left")).toBe("wall");
    expect(view(flat, "out")).toBe("space");
    expect(
      view(
        [
          [0, 0, 0],
          [9, 0, 0],
          [9, 0, 9],
        ],
        "out",
      ),
    ).toBe("above");
    expect(
      view(
        [
          [0, 0, 0],
          [9, 0, 0],
          [9, 0, 9],
        ],
        "left",
      ),
    ).toBe("space");
  });

  it("fits the content into the room, whole and centred", () => {
    const room = { left: 10, right: 110, top: 0, bottom: 50 };
    const { scale, place } = fitInto(
      bounds([
        [0, 0],
        [20, 40],
      ]),
      room,
    );
    expect(scale).toBe(1.25);
    expect(place([10, 20])).toEqual([60, 25]);
  });
});
