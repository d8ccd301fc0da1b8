// What this device answers of itself: what was kept, with what was changed here since.
import "fake-indexeddb/auto";
import { beforeEach, expect, it, vi } from "vitest";
import type { Schemas } from "@/api/client";
import { rememberSession } from "@/api/token";
import { onDevice } from "@/model/onDevice";
import { changedHere, ofMadeRun } from "./changedHere";
import { fromKept } from "./fromKept";
import { forgetKept, keepAnswer, keptAnswer, keptVersion } from "./keptAnswers";
import { leftWaiting } from "./leave";

const WREN = { username: "wren", name: "Wren", crew: "Heron", role: "planner" as const, may: [] };
const AT = "http://x";
const RUNS = "/api/jobs/7/runs";
const row = (id: number, name: string, stage = "draft", at = "2026-12-02T10:00:00Z") =>
  ({ id, name, stage, bend_degrees: id * 10, updated_at: at }) as Schemas["RunSummary"];
const DOCUMENT = {
  format: "yarrow.run/1",
  name: "Cellar spur",
  units: "in",
  conduit: { type: "emt", size: "1/2" },
  bender: "hand-emt-1/2",
  start: { kind: "connector" },
  walk: [{ kind: "end", at: "30" }],
};

beforeEach(async () => {
  vi.stubGlobal("navigator", {});
  vi.stubGlobal("location", { origin: AT });
  rememberSession({ member: WREN, csrf: "" });
  const database = await onDevice();
  await database.clear("kept");
  await database.clear("waiting");
  await keepAnswer("wren", "/api/jobs/7", JSON.stringify({ id: 7, name: "Cider", rules: "uk" }));
  const rows = [row(1, "Feed 10"), row(2, "Feed 9", "bent"), row(3, "Drop")];
  await keepAnswer("wren", `${RUNS}?offset=0&search=&by=name`, JSON.stringify(rows));
});

async function got(path: string) {
  const response = await fromKept({ url: `${AT}${path}` });
  return response && (await response.json());
}

const names = (rows: readonly { name: string }[]) => rows.map(({ name }) => name);

function request(method: string, path: string, body: unknown) {
  return new Request(`${AT}${path}`, { method, body: JSON.stringify(body) });
}

it("a list is looked through as the server would", async () => {
  expect(names(await got(`${RUNS}?offset=0&search=&by=name`))).toEqual([
    "Drop",
    "Feed 9",
    "Feed 10",
  ]);
  expect(names(await got(`${RUNS}?offset=0&search=feed&by=bends`))).toEqual(["Feed 9", "Feed 10"]);
  expect(names(await got(`${RUNS}?search=&by=stage&stage=bent`))).toEqual(["Feed 9"]);
  expect(names(await got(`${RUNS}?offset=2&by=name`))).toEqual(["Feed 10"]);
  expect(await got("/api/jobs/8/runs?offset=0")).toBeNull();
});

it("a later list tells of a run what an earlier one had otherwise", async () => {
  vi.useFakeTimers({ now: Date.now() + 5000, toFake: ["Date"] });
  await keepAnswer("wren", `${RUNS}?search=dr`, JSON.stringify([row(3, "Drop, renamed")]));
  vi.useRealTimers();
  expect(names(await got(`${RUNS}?by=name`))).toContain("Drop, renamed");
});

it("a run that is made here is opened, saved by its version, and listed", async () => {
  const made = await (await changedHere(request("POST", RUNS, DOCUMENT)))?.json();
  expect(made).toMatchObject({ version: 1, job_id: 7, job_language: "en-GB", stage: "draft" });
  expect(made.id).toBeLessThan(0);
  expect(names(await got(`${RUNS}?by=name`))).toContain("Cellar spur");
  const next = { document: { ...DOCUMENT, name: "Spur" }, base_version: 1 };
  const saved = await (await ofMadeRun(request("PUT", `/api/runs/${made.id}`, next)))?.json();
  expect(saved).toMatchObject({ name: "Spur", version: 2 });
  const opened = await ofMadeRun(new Request(`${AT}/api/runs/${made.id}`));
  expect(await opened?.json()).toMatchObject({ document: { name: "Spur" }, version: 2 });
  const sheet = await ofMadeRun(new Request(`${AT}/api/runs/${made.id}/sheet.svg`));
  expect(sheet?.status).toBe(503);
  expect((await ofMadeRun(new Request(`${AT}/api/runs/-4`)))?.status).toBe(404);
  expect(await ofMadeRun(new Request(`${AT}/api/runs/4`))).toBeNull();
});

it("no run is made on a job that is not kept", async () => {
  expect(await changedHere(request("POST", "/api/jobs/8/runs", DOCUMENT))).toBeNull();
});

it("how far a run is stands in it and in its list before the server knows", async () => {
  await keepAnswer("wren", "/api/runs/1", JSON.stringify({ ...row(1, "Feed 10"), version: 1 }));
  const said = await changedHere(request("PUT", "/api/runs/1/stage", { stage: "fitted" }));
  expect(await said?.json()).toMatchObject({ name: "Feed 10", stage: "fitted" });
  const [feed] = (await got(`${RUNS}?by=name`)).filter(({ id }: { id: number }) => id === 1);
  expect(feed.stage).toBe("fitted");
});

it("a piece at the bench that nothing is known of is begun, and what is kept of it waits", async () => {
  expect(await got("/api/runs/1/bench/0")).toMatchObject({ version: 0, document: null });
  expect(await changedHere(request("PUT", "/api/runs/1/bench/0", { base_version: 0 }))).toBeNull();
  vi.stubGlobal("fetch", () => Promise.reject(new TypeError("gone")));
  expect(await leftWaiting("wren")).toEqual(["How far a run is, or what came out at the bench"]);
});

it("the version before the newest is here for who began with it", async () => {
  for (const version of [3, 4]) {
    await keepAnswer("wren", "/api/runs/1", JSON.stringify({ version, document: { version } }));
  }
  expect(await keptVersion("wren", "/api/runs/1", 3)).toEqual({ version: 3 });
  expect(await keptVersion("wren", "/api/runs/1", 4)).toEqual({ version: 4 });
  expect(await keptVersion("wren", "/api/runs/1", 2)).toBeUndefined();
});

it("what is kept is its person's own, holds no token, and goes with them", async () => {
  await keepAnswer("wren", "/api/session", JSON.stringify({ member: WREN, csrf: "secret" }));
  expect((await keptAnswer("rook", "/api/session"))?.text).not.toContain("secret");
  expect(await keptAnswer("rook", "/api/jobs/7")).toBeNull();
  await keepAnswer("rook", "/api/jobs/7", "{}");
  await forgetKept("wren");
  expect(await keptAnswer("wren", "/api/jobs/7")).toBeNull();
  expect(await keptAnswer("wren", "/api/session")).toBeNull();
  expect(await keptAnswer("rook", "/api/jobs/7")).not.toBeNull();
});
