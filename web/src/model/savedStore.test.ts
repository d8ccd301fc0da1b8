import { expect, test } from "vitest";
import { createSavedStore } from "./savedStore";

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
