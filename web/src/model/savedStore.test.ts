import { expect, test } from "vitest";
import type { Draft } from "./draft";
import { createSavedStore, openedStore } from "./savedStore";
import { tabName } from "./tab";

const opened = () => createSavedStore({ height: "16" }, 3, false);

test("what is typed in one field is undone in one step, and saved again", () => {
  const { getState } = opened();
  getState().change(() => ({ height: "2" }), "height");
  getState().change(() => ({ height: "20" }), "height");
  getState().saved(getState().current(), 4);
  getState().undo();
  expect(getState().current().height).toBe("16");
  expect(getState().saving.state).toBe("waiting");
  getState().redo();
  expect(getState().current().height).toBe("20");
});

test("a field that is left and typed in again is another step", () => {
  const { getState } = opened();
  getState().change(() => ({ height: "20" }), "height");
  getState().settle();
  getState().change(() => ({ height: "21" }), "height");
  getState().undo();
  expect(getState().current().height).toBe("20");
});

test("where someone else's version is taken, mine can be undone to", () => {
  const { getState } = opened();
  getState().change(() => ({ height: "20" }));
  getState().takeTheirs({ document: { height: "30" }, version: 5 });
  expect([getState().current().height, getState().saving.state]).toEqual(["30", "saved"]);
  getState().undo();
  expect(getState().current().height).toBe("20");
  expect(getState().baseVersion).toBe(5);
});

test("what this tab left unsaved is gone on with; what another tab left is not", () => {
  const saved = { document: { height: "16" }, version: 5 };
  const left = { baseVersion: 4, document: { height: "2" } };
  const own = openedStore(saved, [{ ...left, tab: tabName() } as Draft]).getState();
  expect([own.current().height, own.baseVersion, own.saving.state]).toEqual(["2", 4, "waiting"]);
  const other = openedStore(saved, [{ ...left, tab: "another" } as Draft]).getState();
  expect([other.current().height, other.baseVersion, other.saving.state]).toEqual([
    "16",
    5,
    "saved",
  ]);
});
