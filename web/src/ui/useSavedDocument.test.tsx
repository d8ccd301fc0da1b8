import "fake-indexeddb/auto";
import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { Refused } from "@/api/client";
import type { OpenDocument } from "@/model/savedDocuments";
import { createSavedStore, type DocumentStore } from "@/model/savedStore";
import { useSavedDocument } from "./useSavedDocument";

type Doc = { readonly text: string };
const OFFLINE = new Refused(0, { code: "offline", message: "not reached", errors: [] });

function opened(options: Parameters<typeof useSavedDocument>[1] = {}) {
  const sent: string[] = [];
  const server = { fails: null as Refused | null };
  const each = {
    store: createSavedStore<Doc>({ text: "first" }, 1, false),
    target: { kind: "box", id: "7", title: "A box" },
    member: "wren",
    done: () => undefined,
    send: (document: Doc, base: number) => {
      sent.push(document.text);
      return server.fails ? Promise.reject(server.fails) : Promise.resolve({ version: base + 1 });
    },
  } as unknown as OpenDocument<Doc, DocumentStore<Doc>>;
  const hook = renderHook((given) => useSavedDocument(each, given), { initialProps: options });
  const type = (text: string) => act(() => each.store.getState().change(() => ({ text })));
  const state = () => each.store.getState().saving.state;
  return { each, sent, server, type, state, ...hook };
}
const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

beforeEach(() => void vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] }));
afterEach(() => void vi.useRealTimers());

it("is saved after a pause, once, with what was typed last", async () => {
  const { sent, type, state } = opened();
  type("second");
  await pass(600);
  type("third");
  await pass(600);
  expect(sent).toEqual([]);
  await pass(200);
  expect([sent, state()]).toEqual([["third"], "saved"]);
  await pass(10_000);
  expect(sent).toEqual(["third"]);
});

it("what was not reached is tried again, and at once where the network comes back", async () => {
  const { sent, server, type, state } = opened();
  server.fails = OFFLINE;
  type("second");
  await pass(800);
  expect([sent, state()]).toEqual([["second"], "offline"]);
  await pass(3100);
  expect(sent).toHaveLength(2);
  server.fails = null;
  act(() => void dispatchEvent(new Event("online")));
  await pass(0);
  expect([sent.length, state()]).toEqual([3, "saved"]);
});

it("what can't be read is not sent, and says so", async () => {
  const { sent, type, state } = opened({ readable: false });
  type("second");
  await pass(10_000);
  expect([sent, state()]).toEqual([[], "unreadable"]);
});

it("while nobody knows whether it can be read it waits, though not for ever", async () => {
  const { sent, type } = opened({ readable: null });
  type("second");
  await pass(3900);
  expect(sent).toEqual([]);
  await pass(200);
  expect(sent).toEqual(["second"]);
});

it("a form with a button of its own is not saved by itself", async () => {
  const { sent, type, unmount } = opened({ byItself: false });
  type("second");
  await pass(10_000);
  unmount();
  await pass(0);
  expect(sent).toEqual([]);
});

it("whoever goes elsewhere leaves it saved", async () => {
  const { sent, type, unmount } = opened();
  type("second");
  unmount();
  await pass(0);
  expect(sent).toEqual(["second"]);
});
