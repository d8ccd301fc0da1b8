import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { isAway, onAway, reach, type StandIn, standsIn } from "./reaching";

const own = (text = "{}") =>
  new Response(text, { headers: { "Content-Type": "application/json" } });
const page = () => new Response("<p>Sign in", { headers: { "Content-Type": "text/html" } });
const ask = (init: RequestInit = {}) => new Request("http://x/api/plan", init);

let here: Response | null;
let heard: string[];
let quick: boolean;

beforeEach(() => {
  here = new Response('{"here":1}');
  heard = [];
  quick = false;
  const standIn: StandIn = {
    answer: async () => here,
    isQuick: () => quick,
    heard: (request) => heard.push(`${request.method} ${new URL(request.url).pathname}`),
  };
  standsIn(async () => standIn);
});

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const server = (answer: (request: Request) => Promise<Response>) => vi.stubGlobal("fetch", answer);

it("a server that is there answers, and what it answered is passed on at rest", async () => {
  vi.useFakeTimers();
  server(async () => own('{"there":1}'));
  expect(await (await reach(ask())).json()).toEqual({ there: 1 });
  await reach(new Request("http://x/api/jobs", { method: "POST", body: "{}" }));
  await reach(new Request("http://x/api/session", { method: "POST", body: "{}" }));
  expect(heard).toEqual([]);
  await vi.advanceTimersByTimeAsync(2000);
  expect(heard).toEqual(["GET /api/plan", "POST /api/session"]);
  expect(isAway()).toBe(false);
});

it("where the line is gone this device answers, and it is said that the server is away", async () => {
  const told = vi.fn();
  const end = onAway(told);
  server(() => Promise.reject(new TypeError("gone")));
  expect(await (await reach(ask())).json()).toEqual({ here: 1 });
  expect([isAway(), told.mock.calls.length]).toEqual([true, 1]);
  server(async () => own());
  await reach(ask());
  expect([isAway(), told.mock.calls.length]).toEqual([false, 2]);
  end();
});

it("a network's own page is no answer of the server's", async () => {
  server(async () => page());
  expect(await (await reach(ask())).json()).toEqual({ here: 1 });
  expect(isAway()).toBe(true);
  here = null;
  expect(await (await reach(ask())).text()).toContain("Sign in");
});

it("what this device has no answer to fails as it did", async () => {
  here = null;
  server(() => Promise.reject(new TypeError("gone")));
  await expect(reach(ask())).rejects.toThrow("gone");
});

it("what nobody waits for any more is not answered by anybody", async () => {
  const typed = new AbortController();
  typed.abort();
  server(() => Promise.reject(new DOMException("aborted", "AbortError")));
  await expect(reach(ask({ signal: typed.signal }))).rejects.toThrow("aborted");
});

it("a slow server is not waited for where this device is quick, and less so the next time", async () => {
  server(async () => own());
  await reach(ask());
  server(() => Promise.reject(new TypeError("gone")));
  await reach(ask()); // the stand-in is loaded now
  server(async () => own());
  await reach(ask());
  vi.useFakeTimers();
  quick = true;
  server(() => new Promise(() => undefined));
  const first = reach(ask());
  await vi.advanceTimersByTimeAsync(2499);
  expect(await Promise.race([first, Promise.resolve("waits")])).toBe("waits");
  await vi.advanceTimersByTimeAsync(1);
  expect(await (await first).json()).toEqual({ here: 1 });
  here = new Response('{"here":2}');
  const next = reach(ask());
  await vi.advanceTimersByTimeAsync(300);
  expect(await (await next).json()).toEqual({ here: 2 });
});

it("a run that was made here is not asked of the server", async () => {
  const fetched = vi.fn();
  vi.stubGlobal("fetch", fetched);
  expect(await (await reach(new Request("http://x/api/runs/-5"))).json()).toEqual({ here: 1 });
  expect(fetched).not.toHaveBeenCalled();
});
