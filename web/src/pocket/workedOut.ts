// What is answered from what is sent alone: the core in the page works it out.
import type { Asked, Told } from "@/compute/messages";
import { createPort, WorkerDied } from "@/compute/port";
import { say } from "@/words/say";
import ADDRESSES from "./addresses.json";
import { answerOf } from "./answers";

const COMPUTED = new Set(ADDRESSES);
const API = "/api/";

const port = createPort(
  () => new Worker(new URL("../compute/worker.ts", import.meta.url), { type: "module" }),
);

/** Whether the core answers a request. */
export function isComputed(request: Request): boolean {
  return COMPUTED.has(addressOf(request));
}

/** Whether it has answered before, so that it does so at once. */
export function isWarm(): boolean {
  return port.warm;
}

/** The core's answer; null, where the core is not on this device. */
export async function workedOut(request: Request): Promise<Response | null> {
  const { searchParams } = new URL(request.url);
  const asked: Asked = {
    address: addressOf(request),
    sent: request.method === "GET" ? "" : await request.text(),
    options: Object.fromEntries(searchParams),
  };
  try {
    return answerOf(await port.ask(asked, request.signal));
  } catch (error) {
    if (!(error instanceof WorkerDied)) {
      throw error;
    }
    return error.answered ? answerOf(problemOf(error)) : null;
  }
}

function addressOf(request: Request): string {
  return new URL(request.url).pathname.slice(API.length);
}

/** A worker that died is told with what it was asked: the next key starts another. */
function problemOf({ asked, message: why }: WorkerDied): Told {
  const message = say(
    "This could not be worked out here ({what}: {why}). What you typed is kept.",
    {
      what: asked.address,
      why: why.trim().split("\n").at(-1) ?? "",
    },
  );
  return { status: 503, text: JSON.stringify({ code: "failed", message, errors: [] }) };
}
