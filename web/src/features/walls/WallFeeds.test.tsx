import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import { createStore } from "zustand/vanilla";
import type { WallPlan } from "@/api/walls";
import { createSavedStore } from "@/model/savedStore";
import { newWall, type WallDocument } from "@/model/walls";
import { draw, said } from "@/testing/page";
import golden from "../../../../contracts/golden/office.wall.json";
import { WallAnswers } from "./WallAnswers";
import { WallFeeds } from "./WallFeeds";
import { EditingWall, type WallChecks } from "./WallField";

const PLAN = golden as unknown as WallPlan;
const WALL: WallDocument = {
  ...newWall("in"),
  boxes: [
    { name: "A", stud: 3, height: 16, kind: "square" },
    { name: "B", stud: 6, height: 48 },
    { name: "C", stud: 9, height: 48 },
  ],
  lines: [
    { name: "low", height: 40 },
    { name: "high", height: 72 },
  ],
  feeds: [{ from: "A", to: "B" }],
};

function feeds(wall = WALL, problems: Record<string, string> = {}, plan: WallPlan | null = PLAN) {
  const documents = createSavedStore(wall, 1, false);
  const checks = createStore<WallChecks>(() => ({
    problems: new Map(Object.entries(problems)),
    plan,
  }));
  const change = (next: (wall: WallDocument) => WallDocument) =>
    documents.getState().change(next as never);
  const editing = { documents, checks, change } as never;
  const drawn = draw(
    <EditingWall.Provider value={editing}>
      <WallFeeds />
    </EditingWall.Provider>,
  );
  return { ...drawn, feeds: () => documents.getState().history.present.feeds };
}

it("a feed goes by the first line of holes where none was said", () => {
  feeds();
  expect(said(screen.getByLabelText("Line of feed 1"))).toBe("low");
});

it("the knockout that Yarrow takes is named, where the box has names for its own", () => {
  feeds();
  const taken = PLAN.feeds[0]?.from_knockout ?? "";
  expect(taken).not.toBe("");
  expect(said(screen.getByLabelText("Knockout of A, feed 1"))).toBe(taken);
  expect(screen.queryByLabelText("Knockout of B, feed 1")).toBeNull();
});

it("what is drawn in is typed", async () => {
  const { user, feeds: now } = feeds();
  await user.type(screen.getByLabelText("What is drawn into feed 1"), "3");
  expect(now()).toEqual([{ from: "A", to: "B", wires: "3" }]);
});

it("a feed is taken out", async () => {
  const { user, feeds: now } = feeds();
  await user.click(screen.getByLabelText("Take out feed 1"));
  expect(now()).toEqual([]);
});

it("one that leads to a way out above its box needs no line of holes", () => {
  const ways_out = [{ name: "Up", plate: "top" as const }];
  feeds({ ...WALL, ways_out, feeds: [{ from: "A", to: "Up" }] });
  expect(screen.queryByLabelText("Line of feed 1")).toBeNull();
});

it("a name that is gone is marked where it stands, with what was expected", () => {
  feeds(WALL, { "feeds[0].to": "a box of the wall" });
  const field = screen.getByLabelText("Feed 1 to: expected a box of the wall");
  expect(field.getAttribute("aria-invalid")).toBe("true");
});

it("what the wall comes to: boxes, holes, what is needed, pieces", () => {
  draw(<WallAnswers wallId={1} plan={PLAN} />);
  const words = said(document.body);
  for (const box of PLAN.boxes) {
    expect(words).toContain(`${box.name}: ${box.on}, top at ${box.top_text}`);
  }
  const [alike] = PLAN.to_bore;
  expect(words).toContain(
    `${alike?.count} with a bit of ${alike?.bit_text}, at ${alike?.height_text}`,
  );
  for (const { what, count } of PLAN.needed) {
    expect(words.includes(`${count} ${what}`)).toBe(count > 0);
  }
  expect(document.querySelectorAll("[data-feed-pieces] > ol > li")).toHaveLength(
    PLAN.feeds[0]?.pieces.length ?? 0,
  );
  expect(document.querySelectorAll("[data-finding]").length).toBeGreaterThanOrEqual(
    PLAN.findings.length,
  );
});

it("until something is fed it says how that is done", () => {
  draw(<WallAnswers wallId={1} plan={{ ...PLAN, feeds: [] }} />);
  expect(screen.getByText(/add two boxes, then tap/)).toBeTruthy();
});
