import { describe, expect, it } from "vitest";
import {
  addBox,
  addFeed,
  addLine,
  addOpening,
  addWayOut,
  newWall,
  placeStuds,
  placeWayOut,
  removeBox,
  removeFeed,
  removeLine,
  removeOpening,
  removeWayOut,
  setBox,
  setFeed,
  setLine,
  setOpening,
  setWayOut,
  sizeBox,
} from "./walls";

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

  it("lets a feed go along any line once its own is taken out", () => {
    const two = setLine(1, { name: "B" })(addLine()(setFeed(0, { line: "B" })(fed)));
    expect(removeLine(1)(two).feeds?.[0]?.line).toBe("");
    expect(removeLine(0)(two).feeds?.[0]?.line).toBe("B");
  });

  it("keeps a box beside an opening that is called otherwise, and gives it a stud when that goes", () => {
    const framed = setBox(0, { beside: "Opening 1" })(addOpening()(two));
    const door = setOpening(0, { name: "Door" })(framed);
    expect(door.boxes[0]?.beside).toBe("Door");
    expect(removeOpening(0)(door).boxes[0]?.beside).toBe("");
  });

  it("keeps a feed to a way out that is called otherwise, and loses it with that", () => {
    const out = addFeed("Board", "Light")(setWayOut(0, { name: "Light" })(addWayOut()(two)));
    expect(setWayOut(0, { name: "Fan" })(out).feeds?.[0]?.to).toBe("Fan");
    expect(removeWayOut(0)(out).feeds).toEqual([]);
    expect(placeWayOut(0, "64")(out).ways_out?.[0]?.at).toBe("64");
    expect(placeWayOut(0, "")(placeWayOut(0, "64")(out)).ways_out?.[0]).not.toHaveProperty("at");
  });

  it("gives every feed a key of its own, which its run goes by", () => {
    const keys = (addFeed("Outlet", "Board")(fed).feeds ?? []).map(({ key }) => key);
    expect(new Set(keys).size).toBe(2);
    expect(keys[0]).toMatch(/^[0-9a-f]{32}$/);
    expect(setBox(0, { name: "Panel" })(fed).feeds?.[0]?.key).toBe(fed.feeds?.[0]?.key);
  });

  it("has studs one by one where they are said so, or as they are spaced", () => {
    const said = placeStuds(" 1, 17 1/2,")(two);
    expect(said.studs.at).toEqual(["1", "17 1/2"]);
    expect(placeStuds("")(said).studs).not.toHaveProperty("at");
  });

  it("has a box of no kind as large as was typed, or as is usual", () => {
    expect(sizeBox(0, "deep", "3")(two).boxes[0]?.deep).toBe("3");
    expect(sizeBox(0, "deep", "")(sizeBox(0, "deep", "3")(two)).boxes[0]).not.toHaveProperty(
      "deep",
    );
  });

  it("loses the feeds of a box that is taken out", () => {
    expect(removeBox(1)(fed).feeds).toEqual([]);
    expect(removeFeed(0)(fed).boxes).toHaveLength(2);
    expect(setFeed(0, { to: "Board" })(fed).feeds?.[0]?.to).toBe("Board");
  });
});
