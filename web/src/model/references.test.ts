import { describe, expect, it } from "vitest";
import { followed, type Reference } from "./references";

type List = "rooms" | "doors";

const OF: readonly Reference<List>[] = [
  { inside: "doors", by: "from", to: ["rooms"], gone: "goes" },
  { inside: "doors", by: "beside", to: ["rooms", "doors"], gone: "names nothing" },
  { inside: "doors", by: "through", to: ["rooms"], gone: "names nothing" },
];

const plan = {
  rooms: [{ name: "Hall" }, { name: "Yard" }],
  doors: [
    { name: "A", from: "Hall", beside: "Yard", through: ["Hall", "Yard"] },
    { name: "B", from: "Yard", beside: "A" },
  ],
};

describe("what names something", () => {
  it("names it by its new name, in one field or in a list", () => {
    const [a, b] = followed(plan, OF, "rooms", "Yard", "Court").doors;
    expect(a).toMatchObject({ from: "Hall", beside: "Court", through: ["Hall", "Court"] });
    expect(b).toMatchObject({ from: "Court", beside: "A" });
  });

  it("goes with what it can't be without, and names nothing where it can", () => {
    const gone = followed(plan, OF, "rooms", "Yard", null);
    expect(gone.doors).toEqual([{ name: "A", from: "Hall", beside: "", through: ["Hall"] }]);
    expect(followed(plan, OF, "doors", "A", null).doors[1]?.beside).toBe("");
  });

  it("stays as it is where nothing is called otherwise, and where a list is not there", () => {
    expect(followed(plan, OF, "rooms", "Yard", "Yard")).toBe(plan);
    expect(followed(plan, OF, "rooms", undefined, "Court")).toBe(plan);
    expect(followed({ rooms: [] }, OF, "rooms", "Yard", null)).toEqual({ rooms: [] });
  });
});
