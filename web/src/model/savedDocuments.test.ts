import "fake-indexeddb/auto";
import { beforeEach, describe, expect, it } from "vitest";
import { Refused } from "@/api/client";
import { draftsOf } from "./drafts";
import { closeOnDevice } from "./onDevice";
import { keep, type OpenDocument, opened, save, saveAll, signedInAgain } from "./savedDocuments";
import { createSavedStore, type DocumentStore } from "./savedStore";

type Doc = { readonly text: string };
type Open = OpenDocument<Doc, DocumentStore<Doc>>;

/** A server with one document, that can be told to fail. */
class Server {
  document: Doc = { text: "first" };
  version = 1;
  fails: Refused | null = null;

  async send(document: Doc, base: number): Promise<{ version: number }> {
    await Promise.resolve();
    if (this.fails) {
      throw this.fails;
    }
    if (base !== this.version) {
      const theirs = { document: this.document, version: this.version };
      throw new Refused(409, { code: "conflict", message: "moved", errors: [], theirs } as never);
    }
    this.document = document;
    this.version += 1;
    return { version: this.version };
  }
}

function open(server: Server, member = "wren"): Open {
  return {
    store: createSavedStore(server.document, server.version, false),
    target: { kind: "box", id: "4", title: "A box" },
    member,
    send: (document, base) => server.send(document, base),
    done: () => undefined,
  };
}

const refused = (status: number) =>
  new Refused(status, { code: "x", message: `failed ${status}`, errors: [] });
const type = (each: Open, text: string) => each.store.getState().change(() => ({ text }));
const state = (each: Open) => each.store.getState().saving.state;

beforeEach(async () => {
  await closeOnDevice();
  indexedDB.deleteDatabase("yarrow");
});

describe("a document that saves itself", () => {
  it("keeps a draft until it is saved, and no longer", async () => {
    const server = new Server();
    const each = open(server);
    type(each, "second");
    await keep(each as OpenDocument);
    expect(await draftsOf("wren", each.target)).toHaveLength(1);
    await save(each as OpenDocument);
    expect([state(each), server.document.text]).toEqual(["saved", "second"]);
    expect(await draftsOf("wren", each.target)).toEqual([]);
  });

  it("says of a draft whether it is only the server that is missing", async () => {
    for (const [status, waits] of [
      [0, true],
      [422, false],
    ] as const) {
      const server = new Server();
      server.fails = refused(status);
      const each = open(server);
      type(each, "second");
      await save(each as OpenDocument);
      await keep(each as OpenDocument);
      expect(await draftsOf("wren", each.target)).toMatchObject([{ waits }]);
    }
  });

  it("tells each way of failing as what it is, and loses nothing by any", async () => {
    const ways = {
      0: "offline",
      401: "signed-out",
      404: "gone",
      422: "unreadable",
      403: "refused",
      413: "refused",
    };
    for (const [status, told] of Object.entries({ ...ways, 500: "failed", 504: "failed" })) {
      const server = new Server();
      const each = open(server);
      type(each, "kept");
      await keep(each as OpenDocument);
      server.fails = refused(Number(status));
      await save(each as OpenDocument);
      expect(state(each)).toBe(told);
      expect((await draftsOf("wren", each.target))[0]?.document).toEqual({ text: "kept" });
      server.fails = null;
      await save(each as OpenDocument);
      expect(server.document.text).toBe("kept");
    }
  });

  it("goes on by itself once its person has signed in again", async () => {
    const server = new Server();
    const each = open(server);
    const close = opened(each as OpenDocument);
    type(each, "after");
    server.fails = refused(401);
    await save(each as OpenDocument);
    server.fails = null;
    signedInAgain();
    expect(state(each)).toBe("waiting");
    expect(await saveAll()).toEqual([]);
    expect(server.document.text).toBe("after");
    close();
  });

  it("takes its own words for saved where only the answer was lost", async () => {
    const server = new Server();
    const each = open(server);
    type(each, "second");
    await keep(each as OpenDocument);
    await server.send({ text: "second" }, 1); // went through, and nobody heard of it
    await save(each as OpenDocument);
    expect([state(each), each.store.getState().baseVersion]).toEqual(["saved", 2]);
    expect(await draftsOf("wren", each.target)).toEqual([]);
    type(each, "third");
    await save(each as OpenDocument);
    expect([server.document.text, server.version]).toEqual(["third", 3]);
  });

  it("is one of two that both see the other\u2019s words before either goes", async () => {
    const server = new Server();
    const [one, two] = [open(server), open(server)];
    type(one, "mine");
    type(two, "theirs");
    await save(two as OpenDocument);
    await save(one as OpenDocument);
    const { saving, keepMine } = one.store.getState();
    expect(saving).toMatchObject({ state: "conflict", theirs: { document: { text: "theirs" } } });
    type(one, "mine still");
    expect(state(one)).toBe("conflict");
    keepMine(2);
    await save(one as OpenDocument);
    expect([server.document.text, server.version]).toEqual(["mine still", 3]);
  });

  // Any order of typing, failing, saving and signing in: the last words are on the server or kept.
  it("never loses the last words, whatever comes between", async () => {
    let seed = 11;
    const pick = <T>(from: readonly T[]): T => {
      seed = (seed * 48271) % 2147483647;
      return from[seed % from.length] as T;
    };
    for (let round = 0; round < 40; round += 1) {
      const server = new Server();
      const each = open(server, `member ${round}`);
      let last = server.document.text;
      for (let step = 0; step < 15; step += 1) {
        const what = pick(["type", "type", "save", "fail", "mend", "in"]);
        if (what === "type") {
          last = `words ${step}`;
          type(each, last);
          await keep(each as OpenDocument);
        } else if (what === "save") {
          await save(each as OpenDocument);
        } else if (what === "in") {
          signedInAgain();
        } else {
          server.fails = what === "fail" ? refused(pick([0, 401, 403, 404, 422, 500])) : null;
        }
        const kept = (await draftsOf(each.member, each.target)).map(({ document }) => document);
        const safe = server.document.text === last || kept.some((d) => (d as Doc).text === last);
        expect(safe).toBe(true);
        expect(state(each) === "saved" && server.document.text !== last).toBe(false);
      }
    }
  });
});
