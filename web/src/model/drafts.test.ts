import "fake-indexeddb/auto";
import { openDB } from "idb";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { emptyRun } from "./document";
import type { Draft } from "./draft";
import { allDrafts, draftKey, draftsOf, dropDraft, keepDraft } from "./drafts";
import { closeOnDevice } from "./onDevice";
import { runProblem } from "./runProblem";

const RUN = emptyRun("Test", "in", { type: "emt", size: "1/2" }, "hand-emt-1/2");

function draft(fields: Partial<Draft> = {}): Draft {
  const target = { kind: "run", id: "7", title: "Press hall" } as const;
  const by = { member: "wren", tab: "one", baseVersion: 3, changed: 1000 };
  return { shape: 1, ...target, ...by, document: RUN, ...fields };
}

async function putRaw(key: string, value: unknown): Promise<void> {
  const database = await openDB("yarrow");
  await database.put("drafts", value, key);
  database.close();
}

beforeEach(async () => {
  await closeOnDevice();
  indexedDB.deleteDatabase("yarrow");
});

describe("drafts", () => {
  it("are there again when they are asked for, on the disk once kept", async () => {
    await keepDraft(draft());
    await closeOnDevice();
    expect(await draftsOf("wren", { kind: "run", id: "7" })).toEqual([draft()]);
  });

  it("of many at once the newest is the one that stays", async () => {
    const writes = Array.from({ length: 50 }, (_, n) => keepDraft(draft({ changed: n })));
    await Promise.all(writes);
    const [found] = await draftsOf("wren", { kind: "run", id: "7" });
    expect(found?.changed).toBe(49);
  });

  it("that can\u2019t be kept are said to be so", async () => {
    const broken = vi.spyOn(IDBObjectStore.prototype, "put").mockImplementation(() => {
      throw new DOMException("full", "QuotaExceededError");
    });
    await expect(keepDraft(draft())).rejects.toThrow("full");
    broken.mockRestore();
    await keepDraft(draft());
    expect(await draftsOf("wren", { kind: "run", id: "7" })).toHaveLength(1);
  });

  it("that another Yarrow wrote, or that are spoilt, are told with their text", async () => {
    await keepDraft(draft());
    await putRaw("later", { shape: 2, anything: true });
    await putRaw("spoilt", draft({ document: { format: "yarrow.run/1", walk: 5 } }));
    await putRaw("nothing", 7);
    const { drafts, broken } = await allDrafts("wren");
    expect(drafts).toHaveLength(1);
    expect(broken.map(({ key }) => key).sort()).toEqual(["later", "nothing", "spoilt"]);
    expect(broken.find(({ key }) => key === "later")?.text).toContain("anything");
  });

  // Two people, two tabs and two runs, in any order: what is kept is what was put and not dropped.
  it("belong to a person, a thing and a tab, whatever happens to the others", async () => {
    const model = new Map<string, Draft>();
    let seed = 7;
    const pick = <T>(from: readonly T[]): T => {
      seed = (seed * 48271) % 2147483647;
      return from[seed % from.length] as T;
    };
    for (let step = 0; step < 300; step += 1) {
      const one = draft({
        member: pick(["wren", "tern"]),
        tab: pick(["one", "two"]),
        id: pick(["7", "8"]),
        changed: step,
      });
      const key = draftKey(one);
      if (pick(["keep", "keep", "drop"]) === "keep") {
        await keepDraft(one);
        model.set(key, one);
      } else {
        await dropDraft(key);
        model.delete(key);
      }
      for (const member of ["wren", "tern"]) {
        const wanted = [...model.values()].filter((each) => each.member === member);
        const { drafts } = await allDrafts(member);
        expect(drafts).toHaveLength(wanted.length);
        expect(new Set(drafts.map(draftKey))).toEqual(new Set(wanted.map(draftKey)));
      }
    }
  });
});

describe("a document as a run", () => {
  it("is refused with a reason where a screen could not show it", () => {
    expect(runProblem(RUN)).toBe("");
    const spoilt: unknown[] = [null, 5, {}, { ...RUN, format: "yarrow.run/9" }];
    spoilt.push({ ...RUN, walk: {} }, { ...RUN, walk: [null] }, { ...RUN, walk: [{}] });
    spoilt.push({ ...RUN, conduit: "emt" }, { ...RUN, bender: null }, { ...RUN, walk: undefined });
    for (const document of spoilt) {
      expect(runProblem(document)).not.toBe("");
    }
  });
});
