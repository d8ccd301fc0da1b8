// The way to the server, and what stands in for it where it is not reached, or is slow.
import { useSyncExternalStore } from "react";

/** What answers without the server; it is put here by whoever can, and loaded when it is wanted. */
export type StandIn = {
  /** An answer from this device; null, where it has none. */
  answer(request: Request): Promise<Response | null>;
  /** Whether it answers this quickly, so that a slow server need not be waited for. */
  isQuick(request: Request): boolean;
  /** Takes note of what the server answered. */
  heard(request: Request, response: Response): void;
};

/** What was made on this device, and has no number of the server's. */
const MADE_HERE = /\/api\/runs\/-\d/;

/** Longer than the server takes for anything that the page asks with a key. */
const SLOW_MS = 2500;
/** And what is waited for one that was slower than that. */
const SLOW_AGAIN_MS = 300;

/** After the first answers, until who stands in is loaded to take note of them. */
const REST_MS = 2000;

let load: (() => Promise<StandIn>) | null = null;
let loaded: StandIn | null = null;
let away = false;
let patience = SLOW_MS;
/** What was answered and not passed on yet: the first view is not kept waiting for that. */
const unheard: [Request, Response][] = [];
const told = new Set<() => void>();

/** Who stands in from now on. */
export function standsIn(by: (() => Promise<StandIn>) | null): void {
  load = by;
  loaded = null;
}

/** Whether the server was not reached when it was last asked. */
export function isAway(): boolean {
  return away;
}

/** The same for who draws it. */
export function useAway(): boolean {
  return useSyncExternalStore(onAway, isAway);
}

/** Tells whenever that changes; returns what ends it. */
export function onAway(tell: () => void): () => void {
  told.add(tell);
  return () => told.delete(tell);
}

function setAway(now: boolean): void {
  if (now !== away) {
    away = now;
    for (const tell of told) {
      tell();
    }
  }
}

/** Asks the server, and who stands in for it where that gives no answer of its own. */
export async function reach(request: Request): Promise<Response> {
  const asked = request.clone();
  if (MADE_HERE.test(request.url)) {
    const response = await answered(asked);
    if (response) {
      return response;
    }
  }
  const server = fetch(request);
  try {
    const response = await (loaded?.isQuick(asked) ? soonest(server, asked) : server);
    if (isOwn(response)) {
      heard(asked, response);
      return response;
    }
    setAway(true);
    return (await answered(asked)) ?? response;
  } catch (error) {
    if (asked.signal.aborted) {
      throw error;
    }
    setAway(true);
    const response = await answered(asked);
    if (response) {
      return response;
    }
    throw error;
  }
}

/** A network's own page (sign in here, nothing behind this door) is no answer of Yarrow's. */
function isOwn(response: Response): boolean {
  return !(response.headers.get("Content-Type") ?? "").startsWith("text/html");
}

function heard(request: Request, response: Response): void {
  if (response.headers.has(HERE)) {
    return;
  }
  setAway(false);
  const isAsked = request.method === "POST" && !request.url.endsWith("/api/session");
  if (response.ok && load && !isAsked) {
    unheard.push([request, response.clone()]);
    if (unheard.length === 1) {
      setTimeout(() => void passOn(), loaded ? 0 : REST_MS);
    }
  }
}

async function passOn(): Promise<void> {
  const by = await standIn();
  for (const [request, response] of unheard.splice(0)) {
    by?.heard(request, response);
  }
}

async function answered(request: Request): Promise<Response | null> {
  const by = await standIn();
  return by ? by.answer(request) : null;
}

async function standIn(): Promise<StandIn | null> {
  loaded ??= (await load?.().catch(() => null)) ?? null;
  return loaded;
}

/** Marks an answer of this device's. */
export const HERE = "X-Here";

async function soonest(server: Promise<Response>, request: Request): Promise<Response> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<null>((resolve) => {
    timer = setTimeout(resolve, away ? 0 : patience, null);
  });
  const first = await Promise.race([server, late]).finally(() => clearTimeout(timer));
  patience = first ? SLOW_MS : SLOW_AGAIN_MS;
  if (first) {
    return first;
  }
  const here = answered(request.clone()).then((response) => response ?? server);
  return Promise.any([server, here]);
}
