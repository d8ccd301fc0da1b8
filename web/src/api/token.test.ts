import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { rememberSession, send } from "./token";

const wren = {
  username: "wren",
  name: "Wren Hallow",
  crew: "Heron crew",
  role: "planner" as const,
  may: [],
};
const stale = () => Response.json({ code: "stale-token" }, { status: 403 });
const sent: Request[] = [];
let answers: Response[] = [];

beforeEach(() => {
  sent.length = 0;
  rememberSession({ member: wren, csrf: "old" });
  vi.stubGlobal("fetch", (request: Request | string) => {
    if (request === "/api/session") {
      return Promise.resolve(Response.json({ member: wren, csrf: "fresh" }));
    }
    sent.push(request as Request);
    return Promise.resolve(answers.shift());
  });
});

afterEach(() => vi.unstubAllGlobals());

const put = () => new Request("http://x/api/runs/1", { method: "PUT", body: "typed" });

it("says whose page it is, and carries the token with what changes something", async () => {
  answers = [new Response("ok"), new Response("ok")];
  await send(put());
  await send(new Request("http://x/api/jobs"));
  const headers = sent.map(({ headers: said }) => [said.get("X-Member"), said.get("X-CSRFToken")]);
  expect(headers).toEqual([
    ["wren", "old"],
    ["wren", null],
  ]);
});

it("sends it whole once more with a fresh token where the old one is void, and no more", async () => {
  answers = [stale(), new Response("ok")];
  expect((await send(put())).status).toBe(200);
  expect(sent[1]?.headers.get("X-CSRFToken")).toBe("fresh");
  expect(await sent[1]?.text()).toBe("typed");
  answers = [stale(), stale()];
  expect((await send(put())).status).toBe(403);
  expect(sent).toHaveLength(4);
});

it("leaves another refusal as it is", async () => {
  answers = [Response.json({ code: "refused" }, { status: 403 })];
  expect(await (await send(put())).json()).toEqual({ code: "refused" });
  expect(sent).toHaveLength(1);
});

it("sends what was under way while the person signed in again once more, and only that", async () => {
  const signedOut = () => new Response("", { status: 401 });
  answers = [signedOut(), new Response("ok")];
  const underWay = send(put());
  rememberSession({ member: wren, csrf: "new" });
  expect((await underWay).status).toBe(200);
  expect(sent[1]?.headers.get("X-CSRFToken")).toBe("new");
  expect(await sent[1]?.text()).toBe("typed");
  answers = [signedOut()];
  expect((await send(put())).status).toBe(401);
  expect(sent).toHaveLength(3);
});
