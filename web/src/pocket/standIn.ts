// Stands in for the server: the core in the page works things out, and what it answered is kept.
import { HERE, type StandIn } from "@/api/reaching";
import { memberName } from "@/api/token";
import type { Asked, Told } from "@/compute/messages";
import { createPort, WorkerDied } from "@/compute/port";
import { say } from "@/words/say";
import ADDRESSES from "./addresses.json";
import { isWorthKeeping, keepAnswer, keptAnswer, keptOf } from "./keptAnswers";
import { listedAs } from "./keptLists";

const COMPUTED = new Set(ADDRESSES);
const API = "/api/";

export const port = createPort(
  () => new Worker(new URL("../compute/worker.ts", import.meta.url), { type: "module" }),
);

export const standIn: StandIn = {
  isQuick: (request) => port.warm && COMPUTED.has(addressOf(request)),
  answer: async (request) =>
    COMPUTED.has(addressOf(request)) ? workedOut(request) : fromKept(request),
  heard: (request, response) => {
    const { pathname, search } = new URL(request.url);
    if (isWorthKeeping(pathname)) {
      void response
        .text()
        .then((text) => keepAnswer(memberName(), `${pathname}${search}`, text))
        .catch(() => undefined);
    }
  },
};

function addressOf(request: Request): string {
  return new URL(request.url).pathname.slice(API.length);
}

async function workedOut(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const asked: Asked = {
    address: addressOf(request),
    sent: request.method === "GET" ? "" : await request.text(),
    options: Object.fromEntries(searchParams),
  };
  return answer(await port.ask(asked, request.signal).catch(problemOf));
}

/** A worker that died is told with what it was asked: the next key starts another. */
function problemOf(error: unknown): Told {
  if (!(error instanceof WorkerDied)) {
    throw error;
  }
  const message = say(
    "This could not be worked out here ({what}: {why}). What you typed is kept.",
    {
      what: error.asked.address,
      why: error.message.trim().split("\n").at(-1) ?? "",
    },
  );
  return { status: 503, text: JSON.stringify({ code: "failed", message, errors: [] }) };
}

function answer({ status, text }: Told): Response {
  return new Response(text, {
    status,
    headers: { "Content-Type": "application/json", [HERE]: "1" },
  });
}

async function fromKept(request: Request): Promise<Response | null> {
  const { pathname, search, searchParams } = new URL(request.url);
  if (request.method !== "GET" || !isWorthKeeping(pathname)) {
    return null;
  }
  const kept = await keptAnswer(memberName(), `${pathname}${search}`);
  if (kept) {
    return answer({ status: 200, text: kept.text });
  }
  const rows = await longestList(pathname);
  return rows && answer({ status: 200, text: JSON.stringify(listedAs(rows, searchParams)) });
}

/** The longest list of a job's runs that is kept, whatever it was asked for by. */
async function longestList(path: string) {
  if (!path.endsWith("/runs")) {
    return null;
  }
  const lists = [...(await keptOf(memberName()))]
    .filter(([address]) => address.split("?", 1)[0] === path)
    .map(([, { text }]) => JSON.parse(text) as Parameters<typeof listedAs>[0]);
  return lists.sort((one, other) => other.length - one.length)[0] ?? null;
}
