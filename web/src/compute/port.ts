// The core in the page, asked one thing at a time; a worker that dies is started anew.
import type { Asked, Reply, Told } from "./messages";

/** What waits for the worker; the first is what it works on. */
type Waiting = {
  readonly asked: Asked;
  readonly signal: AbortSignal;
  readonly told: (told: Told) => void;
  readonly failed: (error: unknown) => void;
};

/** What was asked when the worker died: it is told with the question, and not asked again. */
export class WorkerDied extends Error {
  readonly asked: Asked;
  /** Whether it had answered anything: one that never did was not all on this device. */
  readonly answered: boolean;

  constructor(asked: Asked, why: string, answered: boolean) {
    super(why);
    this.asked = asked;
    this.answered = answered;
  }
}

export type Port = {
  /** The core's answer. Rejects with an AbortError, or with WorkerDied. */
  ask(asked: Asked, signal: AbortSignal): Promise<Told>;
  /** Whether it has answered already, so that it is quick. */
  readonly warm: boolean;
};

/** Longer than anything that is asked takes on a slow phone; its start is in it. */
const LONGEST_MS = 60_000;

export function createPort(start: () => Worker): Port {
  let worker: Worker | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let warm = false;
  const waiting: Waiting[] = [];

  const die = (why: string) => {
    clearTimeout(timer);
    worker?.terminate();
    worker = null;
    const first = waiting.shift();
    first?.failed(new WorkerDied(first.asked, why, warm));
    warm = false;
    next();
  };

  const heard = (reply: Reply) => {
    if ("failed" in reply) {
      die(reply.failed);
      return;
    }
    clearTimeout(timer);
    warm = true;
    waiting.shift()?.told(reply);
    next();
  };

  const next = () => {
    while (waiting[0]?.signal.aborted) {
      const { failed, signal } = waiting.shift() as Waiting;
      failed(signal.reason);
    }
    const [first] = waiting;
    if (!first) {
      return;
    }
    timer = setTimeout(() => die("it took too long"), LONGEST_MS);
    if (!worker) {
      worker = start();
      worker.onmessage = ({ data }: MessageEvent<Reply>) => heard(data);
      worker.onerror = (event) => {
        event.preventDefault?.();
        die(event.message ?? "");
      };
    }
    worker.postMessage(first.asked);
  };

  return {
    get warm() {
      return warm;
    },
    ask: (asked, signal) =>
      new Promise((told, failed) => {
        waiting.push({ asked, signal, told, failed });
        if (waiting.length === 1) {
          next();
        }
      }),
  };
}
