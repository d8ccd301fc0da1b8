import "fake-indexeddb/auto";
import { act, renderHook, waitFor } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { BenchRun } from "@/api/bench";
import { benchHere, type KeptHere } from "@/model/bench";
import { type Asked, RUN, refusal, serve, within } from "@/testing/page";
import { useBench } from "./useBench";

const ORDER = { steps: [{ bend: null }, { bend: 0 }, { bend: 1 }] };
const AT_FIRST: KeptHere = { progress: null, seen: 0 };
const there = (version: number, document: object | null = null) => ({
  ...{ version, document, updated_by: "Robin", updated_at: "" },
});

/** The server's side of a piece at the bench: what is kept there, and who else keeps it. */
function bench(number: number, answers: Record<string, unknown> = {}, here = AT_FIRST) {
  const run = {
    id: number,
    version: 3,
    document: RUN,
    job_language: "en-US",
  } as unknown as BenchRun;
  const path = `/api/runs/${number}/bench/0`;
  const asked = serve({
    "POST /api/bench": { order: ORDER, marks: [] },
    [`GET ${path}`]: there(0),
    [`PUT ${path}`]: ({ body }: Asked) => {
      const { document, base_version } = body as { document: object; base_version: number };
      return there(base_version + 1, document);
    },
    ...answers,
  });
  const hook = renderHook(() => useBench({ run, piece: 0, here }), {
    wrapper: ({ children }) => within(children),
  });
  const kept = () => asked.filter(({ method }) => method === "PUT").map(({ body }) => body);
  return { asked, kept, ...hook, at: () => hook.result.current };
}
const ready = (of: ReturnType<typeof bench>) => waitFor(() => expect(of.at().plan).not.toBeNull());

describe("a piece at the bench", () => {
  it("goes step by step, and neither before the first nor beyond the last", async () => {
    const piece = bench(1);
    await ready(piece);
    act(() => piece.at().go(-1));
    expect(piece.at().progress.at).toBe(0);
    act(() => piece.at().go(9));
    expect(piece.at().progress.at).toBe(3);
  });

  it("a reading of a bend goes on behind its step, and is on the disk before it says so", async () => {
    const piece = bench(2);
    await ready(piece);
    act(() => piece.at().read(0, { angle: 31 }));
    expect(piece.at().onDisk).toBe("keeping");
    await waitFor(() => expect(piece.at().onDisk).toBe("kept"));
    expect(piece.at().progress).toMatchObject({ at: 2, readings: { "0": { angle: 31 } } });
    expect((await benchHere(2, 0)).progress?.at).toBe(2);
  });

  it("a later reading of an earlier bend does not go back", async () => {
    const piece = bench(3);
    await ready(piece);
    act(() => piece.at().go(3));
    act(() => piece.at().read(0, { angle: 31 }));
    expect(piece.at().progress.at).toBe(3);
  });

  it("is kept on the server from the version that is there", async () => {
    const piece = bench(4);
    await ready(piece);
    act(() => piece.at().read(0, { angle: 31 }));
    await waitFor(() => expect(piece.kept()).toHaveLength(1), { timeout: 3000 });
    expect(piece.kept()[0]).toMatchObject({
      base_version: 0,
      document: { made: [{ bend: 0, angle: 31 }], step: 2, run_version: 3 },
    });
  });

  it("nothing is sent of a piece that nobody began", async () => {
    const piece = bench(5);
    await ready(piece);
    await waitFor(() => expect(piece.asked.some(({ method }) => method === "GET")).toBe(true));
    expect(piece.kept()).toEqual([]);
  });
});

describe("another device at the same piece", () => {
  const theirs = { format: "yarrow.bench/1", units: "in", made: [], step: 1, run_version: 3 };

  it("is told of, and nothing is written over it until somebody says so", async () => {
    const path = "GET /api/runs/6/bench/0";
    const piece = bench(6, { [path]: there(4, theirs) });
    await waitFor(() => expect(piece.at().elsewhere?.who).toBe("Robin"));
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] });
    act(() => piece.at().go(2));
    await act(() => vi.advanceTimersByTimeAsync(5000));
    vi.useRealTimers();
    expect(piece.kept()).toEqual([]);
    act(() => piece.at().goOnHere());
    await waitFor(() => expect(piece.kept()).toHaveLength(1), { timeout: 3000 });
    expect(piece.kept()[0]).toMatchObject({ base_version: 4, document: { step: 2 } });
  });

  it("is gone on from where it is", async () => {
    const piece = bench(7, { "GET /api/runs/7/bench/0": there(4, theirs) });
    await waitFor(() => expect(piece.at().elsewhere).not.toBeNull());
    act(() => piece.at().takeOver());
    await waitFor(() => expect(piece.at().elsewhere).toBeNull());
    expect(piece.at().progress.at).toBe(1);
  });

  it("that this one has seen is none", async () => {
    const here = { progress: null, seen: 4 };
    const piece = bench(8, { "GET /api/runs/8/bench/0": there(4, theirs) }, here);
    await ready(piece);
    await waitFor(() => expect(piece.asked.some(({ method }) => method === "GET")).toBe(true));
    expect(piece.at().elsewhere).toBeNull();
  });

  it("that saved meanwhile is told of, and what was done here stays", async () => {
    const put = "PUT /api/runs/9/bench/0";
    const conflict = refusal(409, { code: "conflict", theirs: there(5, { ...theirs, step: 3 }) });
    const piece = bench(9, { [put]: () => conflict });
    await ready(piece);
    act(() => piece.at().go(2));
    await waitFor(() => expect(piece.at().elsewhere?.progress.at).toBe(3), { timeout: 3000 });
    expect(piece.at().progress.at).toBe(2);
  });
});
