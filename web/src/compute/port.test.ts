import { expect, it, vi } from "vitest";
import type { Asked, Reply } from "./messages";
import { createPort, WorkerDied } from "./port";

/** A worker of which a test says what it hears and answers. */
class Pretended {
  onmessage: ((event: { data: Reply }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  readonly heard: Asked[] = [];
  readonly terminate = vi.fn();
  postMessage(asked: Asked) {
    this.heard.push(asked);
  }
  say(data: Reply) {
    this.onmessage?.({ data });
  }
}

function port() {
  const workers: Pretended[] = [];
  const made = createPort(() => {
    workers.push(new Pretended());
    return workers.at(-1) as unknown as Worker;
  });
  return { made, workers };
}

const asked = (sent: string): Asked => ({ address: "plan", sent, options: {} });
const never = new AbortController().signal;

it("asks one thing at a time, in order, and is warm once it has answered", async () => {
  const { made, workers } = port();
  const answers = [made.ask(asked("a"), never), made.ask(asked("b"), never)];
  expect(workers[0]?.heard.map(({ sent }) => sent)).toEqual(["a"]);
  expect(made.warm).toBe(false);
  workers[0]?.say({ status: 200, text: "A" });
  expect(made.warm).toBe(true);
  workers[0]?.say({ status: 422, text: "B" });
  expect(await Promise.all(answers)).toEqual([
    { status: 200, text: "A" },
    { status: 422, text: "B" },
  ]);
  expect(workers.length).toBe(1);
});

it("leaves out what nobody waits for any more", async () => {
  const { made, workers } = port();
  const typed = new AbortController();
  const first = made.ask(asked("a"), never);
  const old = made.ask(asked("b"), typed.signal);
  const last = made.ask(asked("c"), never);
  typed.abort();
  workers[0]?.say({ status: 200, text: "A" });
  workers[0]?.say({ status: 200, text: "C" });
  await expect(old).rejects.toThrow("aborted");
  expect([(await first).text, (await last).text]).toEqual(["A", "C"]);
  expect(workers[0]?.heard.map(({ sent }) => sent)).toEqual(["a", "c"]);
});

it("names what killed a worker, and starts another for the next", async () => {
  const { made, workers } = port();
  const first = made.ask(asked("a"), never);
  workers[0]?.say({ status: 200, text: "A" });
  await first;
  const killer = made.ask(asked("b"), never);
  const next = made.ask(asked("c"), never);
  workers[0]?.onerror?.({ message: "out of memory" });
  const error = await killer.catch((each: unknown) => each);
  expect(error).toBeInstanceOf(WorkerDied);
  expect(error).toMatchObject({ asked: asked("b"), message: "out of memory", answered: true });
  expect(workers[0]?.terminate).toHaveBeenCalled();
  expect(made.warm).toBe(false);
  workers[1]?.say({ status: 200, text: "C" });
  expect((await next).text).toBe("C");
});

it("tells one that never answered from one that died of a question", async () => {
  const { made, workers } = port();
  const first = made.ask(asked("a"), never);
  workers[0]?.say({ failed: "no file" });
  await expect(first).rejects.toMatchObject({ answered: false });
});

it("gives up one that does not come to an end", async () => {
  vi.useFakeTimers();
  const { made, workers } = port();
  const first = made.ask(asked("a"), never).catch((each: unknown) => each);
  vi.advanceTimersByTime(60_000);
  expect(await first).toMatchObject({ message: "it took too long" });
  expect(workers[0]?.terminate).toHaveBeenCalled();
  vi.useRealTimers();
});
