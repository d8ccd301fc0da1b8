import "fake-indexeddb/auto";
import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { OpenDocument } from "@/model/savedDocuments";
import { createSavedStore } from "@/model/savedStore";
import { draw, rows } from "@/testing/page";
import { ConflictDialog } from "./ConflictDialog";

type Doc = { readonly name: string; readonly walk: readonly { readonly at: string }[] };
const MINE: Doc = { name: "Feed", walk: [{ at: "33" }] };
const THEIRS: Doc = { name: "Feed", walk: [{ at: "34" }] };

function conflict() {
  const store = createSavedStore(MINE, 1, true);
  const theirs = { document: THEIRS, version: 5, saved_by: "Robin", saved_at: "" };
  const each = {
    store,
    target: { kind: "run", id: "1", title: "Feed" },
    member: "wren",
    send: () => Promise.resolve({ version: 6 }),
    done: () => undefined,
  } as unknown as OpenDocument<Doc>;
  const saving = { state: "conflict", message: "Robin saved it.", theirs } as never;
  store.getState().setSaving(saving);
  return { store, ...draw(<ConflictDialog each={each} />) };
}

it("what differs stands side by side, in words", async () => {
  conflict();
  await screen.findByRole("dialog");
  expect(rows()).toEqual(["Field | Yours | Saved", "line 1, at | 33 | 34"]);
});

it("theirs is taken as it was saved", async () => {
  const { store, user } = conflict();
  await user.click(await screen.findByText("Take the saved one"));
  expect(store.getState().current()).toEqual(THEIRS);
  expect(store.getState().saving.state).toBe("saved");
});

it("mine is kept, to be saved as what comes after theirs", async () => {
  const { store, user } = conflict();
  await user.click(await screen.findByText("Keep mine as the next version"));
  expect(store.getState().current()).toEqual(MINE);
  expect([store.getState().baseVersion, store.getState().saving.state]).toEqual([5, "waiting"]);
});

it("where there is none, nothing is asked", () => {
  const { store, rerender } = conflict();
  store.getState().setSaving({ state: "saved" } as never);
  rerender(<p>nothing</p>);
  expect(screen.queryByRole("dialog")).toBeNull();
});
