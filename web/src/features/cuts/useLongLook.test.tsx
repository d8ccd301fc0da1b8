import { screen, waitFor } from "@testing-library/react";
import { beforeEach, expect, it, vi } from "vitest";
import type { CutsOfJob } from "@/api/stock";
import type { LongWork } from "@/api/work";
import { draw, said, serve } from "@/testing/page";
import { useLongLook } from "./useLongLook";

const work = (id: number, state: LongWork["state"], kind: LongWork["kind"] = "cut-list") => ({
  ...{ id, kind, job_id: 1, state, done: 0, of: 0, problem: "" },
  ...{ left_out: [], file_name: "", asked_at: "2026-12-02T10:00:00Z" },
});

/** Lists of conduits with so many sticks; null: nothing that can be cut. */
const cuts = (made_of: string, ...sticks: (number | null)[]) =>
  ({
    ...{ runs: 1, worked_out: 1, made_of, bent: 0, spare: [] },
    conduits: sticks.map((each) => ({ cuts: each === null ? null : { sticks: each } })),
  }) as unknown as CutsOfJob;

const STOCK = { format: "yarrow.jobstock/1", units: "in" } as const;

function Look({ first }: { first: CutsOfJob }) {
  const { found, works, looking, look } = useLongLook(1, STOCK, first);
  return (
    <>
      <output>{found ? `${found.work}: ${found.fewer} fewer` : "nothing"}</output>
      <p>{`${works.length} ${looking}`}</p>
      <button type="button" onClick={look}>
        look
      </button>
    </>
  );
}

const told = () => said(screen.getByRole("status"));

beforeEach(() => {
  vi.stubGlobal(
    "EventSource",
    class {
      close() {}
    },
  );
});

it("what the newest long look found is taken where runs and stock are the same", async () => {
  const asked = serve({
    "GET /api/jobs/1/work": [work(9, "stopped"), work(8, "done"), work(7, "done")],
    "GET /api/work/8/file": cuts("same", 20, null, 5),
  });
  draw(<Look first={cuts("same", 22, null, 6)} />);
  await waitFor(() => expect(told()).toBe("8: 3 fewer"));
  expect(asked.map(({ path }) => path)).toEqual(["/api/jobs/1/work", "/api/work/8/file"]);
});

it("what was found for other runs or another stock is not", async () => {
  const asked = serve({
    "GET /api/jobs/1/work": [work(8, "done"), work(7, "done", "sheets")],
    "GET /api/work/8/file": cuts("other", 20),
  });
  draw(<Look first={cuts("same", 22)} />);
  await waitFor(() => expect(asked).toHaveLength(2));
  expect(told()).toBe("nothing");
});

it("a look is asked for with the stock that is on the screen, and is under way then", async () => {
  const asked = serve({
    "GET /api/jobs/1/work": [],
    "POST /api/jobs/1/work": work(4, "waiting"),
  });
  const { user } = draw(<Look first={cuts("same", 22)} />);
  await user.click(screen.getByRole("button"));
  expect(asked.at(-1)?.body).toEqual({ work: { kind: "cut-list", document: STOCK, seconds: 30 } });
  await screen.findByText("1 true");
});
