import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "@/api/client";
import { addLine, set, setLine } from "./commands";
import { emptyRun } from "./document";
import { lastHabit, rememberHabit } from "./remembered";
import { createPlannerStore } from "./store";

const run = emptyRun("Test", "in", { type: "emt", size: "1/2" }, "hand-emt-1/2");
const theirs = {
  document: { ...run, name: "Theirs" },
  version: 4,
} as unknown as Schemas["RunDetail"];

describe("the planner's store", () => {
  it("has the line that was picked last, or none", () => {
    const store = createPlannerStore(1, run, 2, false);
    store.getState().select(2);
    expect(store.getState().selected).toBe(2);
    store.getState().select(null);
    expect(store.getState().selected).toBeNull();
  });

  it("waits to be saved after a change, and is saved when that very document was", () => {
    const store = createPlannerStore(1, run, 2, false);
    store.getState().change(set("name", "New"));
    expect(store.getState().saving.state).toBe("waiting");
    const sent = store.getState().history.present;
    store.getState().saved(sent, 3);
    expect(store.getState()).toMatchObject({ baseVersion: 3, saving: { state: "saved" } });
  });

  it("goes on waiting where something was typed while it was being saved", () => {
    const store = createPlannerStore(1, run, 2, false);
    store.getState().change(set("name", "One"));
    const sent = store.getState().history.present;
    store.getState().change(set("name", "Two"));
    store.getState().saved(sent, 3);
    expect(store.getState()).toMatchObject({ baseVersion: 3, saving: { state: "waiting" } });
  });

  it("keeps a conflict until it is settled, whatever is typed", () => {
    const store = createPlannerStore(1, run, 2, false);
    store.getState().setSaving({ state: "conflict", theirs, message: "" });
    store.getState().change(set("name", "Mine"));
    expect(store.getState().saving.state).toBe("conflict");
    store.getState().keepMine(4);
    expect(store.getState()).toMatchObject({ baseVersion: 4, saving: { state: "waiting" } });
  });

  it("can take theirs and still go back to mine", () => {
    const store = createPlannerStore(1, run, 2, false);
    store.getState().change(set("name", "Mine"));
    store.getState().takeTheirs(theirs);
    expect(store.getState().history.present.name).toBe("Theirs");
    expect(store.getState().saving.state).toBe("saved");
    store.getState().undo();
    expect(store.getState().history.present.name).toBe("Mine");
    expect(store.getState().saving.state).toBe("waiting");
  });

  it("undoes a burst of typing as one, and another field apart", () => {
    const store = createPlannerStore(
      1,
      addLine({ kind: "kick", at: "", rise: "", toward: "in" })(run),
      1,
      false,
    );
    const type = (field: string, text: string) =>
      store.getState().change(setLine(0, { [field]: text }), `walk[0].${field}`);
    for (const text of ["4", "4 ", "4 3", "4 3/", "4 3/8"]) {
      type("rise", text);
    }
    store.getState().settle();
    type("at", "33");
    store.getState().undo();
    expect(store.getState().history.present.walk?.[0]).toMatchObject({ rise: "4 3/8", at: "" });
    store.getState().undo();
    expect(store.getState().history.present.walk?.[0]).toMatchObject({ rise: "", at: "" });
  });

  it("starts out unsaved from a draft", () => {
    expect(createPlannerStore(1, run, 2, true).getState().saving.state).toBe("waiting");
  });
});

describe("what is remembered on this machine", () => {
  const kept = new Map<string, string>();

  beforeEach(() => {
    kept.clear();
    vi.stubGlobal("localStorage", {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    });
  });

  it("remembers the last conduit and bender, a unit each", () => {
    expect(lastHabit("mm").conduit.type).toBe("steel");
    rememberHabit({ ...run, conduit: { type: "emt", size: "3/4" }, bender: "hand-emt-3/4" });
    expect(lastHabit("in")).toEqual({
      conduit: { type: "emt", size: "3/4" },
      bender: "hand-emt-3/4",
    });
    expect(lastHabit("mm").bender).toBe("bench-steel-20");
  });

  it("takes nothing that is not as it should be", () => {
    for (const junk of ["{", "5", '{"conduit": 1}', '{"shape": 1, "value": {"bender": "x"}}']) {
      kept.set("yarrow.habit.in", junk);
      expect(lastHabit("in").bender).toBe("hand-emt-1/2");
    }
  });

  it("still reads what was remembered before shapes had versions", () => {
    const old = { conduit: { type: "emt", size: "1" }, bender: "hand-emt-1" };
    kept.set("yarrow.habit.in", JSON.stringify(old));
    expect(lastHabit("in")).toEqual(old);
  });

  it("goes on where the store is full or forbidden", () => {
    vi.stubGlobal("localStorage", {
      getItem: () => {
        throw new Error("forbidden");
      },
      setItem: () => {
        throw new Error("full");
      },
    });
    expect(() => rememberHabit(run)).not.toThrow();
    expect(lastHabit("in").bender).toBe("hand-emt-1/2");
  });
});
