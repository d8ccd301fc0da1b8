import { act, screen, waitFor } from "@testing-library/react";
import { beforeEach, expect, it, vi } from "vitest";
import type { LongWork } from "@/api/work";
import { draw, refusal, said, serve } from "@/testing/page";
import { useWorkOfJob } from "./WorkOfJob";

class Stream {
  static open: Stream[] = [];
  onmessage: ((message: { data: string }) => void) | null = null;
  closed = false;
  constructor(readonly url: string) {
    Stream.open.push(this);
  }
  close() {
    this.closed = true;
  }
}

const work = (more: Partial<LongWork> = {}): LongWork => ({
  ...{ id: 4, kind: "sheets", job_id: 1, state: "under-way", done: 0, of: 0, problem: "" },
  ...{ left_out: [], file_name: "", asked_at: "2026-12-02T10:00:00Z", ...more },
});

/** The stream says so; the page shows it a moment later. */
const tell = (more: Partial<LongWork>) =>
  act(async () => {
    Stream.open.at(-1)?.onmessage?.({ data: JSON.stringify(work(more)) });
    await new Promise((shown) => setTimeout(shown));
  });

const taken = vi.fn();

function Job() {
  const { buttons, rows } = useWorkOfJob(1, true);
  return (
    <>
      {buttons}
      {rows}
    </>
  );
}

beforeEach(() => {
  Stream.open = [];
  taken.mockReset();
  vi.stubGlobal("EventSource", Stream);
  vi.stubGlobal("location", { ...window.location, assign: taken, href: "http://localhost/" });
});

it("what was under way when the page was opened is followed, and its file taken once it is made", async () => {
  serve({ "GET /api/jobs/1/work": [work(), work({ id: 3, state: "done", file_name: "old.pdf" })] });
  draw(<Job />);
  expect(said(await screen.findByRole("status"))).toBe("All sheetsBegun …Stop");
  expect(Stream.open.map(({ url }) => url)).toEqual(["/api/work/4/changes"]);
  await tell({ done: 7, of: 19 });
  expect(said(screen.getByRole("status"))).toContain("7 of 19 runs");
  await tell({
    state: "done",
    done: 19,
    of: 19,
    file_name: "works.pdf",
    left_out: ["Odd", "Other"],
  });
  expect(taken.mock.calls).toEqual([["/api/work/4/file"]]);
  expect(Stream.open[0]?.closed).toBe(true);
  expect(screen.getByRole("link").getAttribute("href")).toBe("/api/work/4/file");
  expect(said(screen.getByRole("status"))).toContain("can't be read: Odd, Other.");
});

it("the sheets are asked for on the paper that was chosen, and stopped by a touch", async () => {
  const asked = serve({
    "GET /api/jobs/1/work": [],
    "POST /api/jobs/1/work": work({ state: "waiting" }),
    "POST /api/work/4/stop": work({ state: "stopped" }),
  });
  const { user } = draw(<Job />);
  await user.click(screen.getByRole("button", { name: "All sheets" }));
  await user.click(await screen.findByRole("menuitem", { name: "Letter" }));
  expect(asked.at(-1)?.body).toEqual({ work: { kind: "sheets", paper: "letter" } });
  expect(said(await screen.findByRole("status"))).toContain("Waits for its turn");
  await user.click(screen.getByRole("button", { name: "Stop" }));
  await waitFor(() => expect(said(screen.getByRole("status"))).toContain("Stopped"));
  expect(taken).not.toHaveBeenCalled();
  await user.click(screen.getByRole("button", { name: "Put away" }));
  expect(screen.queryByRole("status")).toBeNull();
});

it("why there is none is said: it failed, or is not begun", async () => {
  serve({
    "GET /api/jobs/1/work": [work()],
    "POST /api/jobs/1/work": refusal(429, {
      code: "too-much-asked",
      message: "Wait, or stop one.",
    }),
  });
  const { user } = draw(<Job />);
  await screen.findByRole("status");
  await tell({ state: "failed", problem: "There is no run." });
  expect(said(screen.getByRole("alert"))).toBe("There is no run.");
  await user.click(screen.getByRole("button", { name: "Export the job" }));
  await waitFor(() =>
    expect(screen.getAllByRole("alert").map(said)).toContain("Wait, or stop one."),
  );
});
