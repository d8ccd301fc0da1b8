import { describe, expect, it } from "vitest";
import { addBox, addFeed, newWall, removeBox, removeFeed, setBox, setFeed, setLine } from "./walls";

const two = setBox(1, { name: "Outlet" })(
  addBox()(setBox(0, { name: "Board" })(addBox()(newWall("in")))),
);
const fed = addFeed("Board", "Outlet")(two);

describe("a framed wall", () => {
  it("gets boxes with names of their own", () => {
    const three = addBox()(addBox()(newWall("mm")));
    expect(three.boxes.map(({ name }) => name)).toEqual(["Box 1", "Box 2"]);
    expect(three.boxes[0]?.height).toBe(400);
  });

  it("keeps its feeds to a box and a line that are called another name", () => {
    expect(setBox(0, { name: "Panel" })(fed).feeds?.[0]?.from).toBe("Panel");
    expect(setLine(0, { name: "upper" })(fed).feeds?.[0]?.line).toBe("upper");
  });

  it("loses the feeds of a box that is taken out", () => {
    expect(removeBox(1)(fed).feeds).toEqual([]);
    expect(removeFeed(0)(fed).boxes).toHaveLength(2);
    expect(setFeed(0, { to: "Board" })(fed).feeds?.[0]?.to).toBe("Board");
  });
});
