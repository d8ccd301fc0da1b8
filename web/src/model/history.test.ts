import { describe, expect, it } from "vitest";
import { advance, begin, redo, settle, undo } from "./history";

describe("history", () => {
  it("takes a burst of typing in one field as one step", () => {
    let history = begin("3");
    for (const text of ["33", "33 ", "33 1", "33 1/2"]) {
      history = advance(history, text, "walk[0].at");
    }
    expect(undo(history).present).toBe("3");
    expect(redo(undo(history)).present).toBe("33 1/2");
  });

  it("starts a step with another field, and after leaving the field", () => {
    let history = advance(begin("a"), "b", "rise");
    history = advance(history, "c", "at");
    history = advance(settle(history), "d", "at");
    expect(undo(history).present).toBe("c");
    expect(undo(undo(history)).present).toBe("b");
  });

  it("forgets what was undone once something else is done", () => {
    const history = advance(undo(advance(begin(1), 2)), 3);
    expect(redo(history).present).toBe(3);
    expect(undo(history).present).toBe(1);
  });

  it("stays where it is at both ends, and when nothing changed", () => {
    const history = begin("x");
    expect(undo(history)).toBe(history);
    expect(redo(history)).toBe(history);
    expect(advance(history, "x")).toBe(history);
  });
});
