// What the server is yet to be told, beside drafts: runs that were made here, and changes that are
// one field. In the order that they were made in, each person's own.
import type { Schemas } from "@/api/client";
import { isRecord } from "@/model/isRecord";
import { dropOnDevice, keepOnDevice, keysOnDevice, onDevice } from "@/model/onDevice";
import { say } from "@/words/say";

type Common = {
  readonly member: string;
  /** Milliseconds; only for their order. */
  readonly at: number;
  /** Why the server refused it; empty, while it was not asked or not reached. */
  readonly problem: string;
};

/** A run that was made here: it is known by a number below 0 until the server has given it its own. */
export type MadeRun = Common & {
  readonly is: "made";
  /** Told with it, so that the server makes it once, however often it is asked. */
  readonly key: string;
  readonly localId: number;
  readonly jobId: number;
  readonly version: number;
  readonly document: Schemas["RunDocument"];
};

/** A change that is all that its address is told; a later one stands in its place. */
export type Put = Common & {
  readonly is: "put";
  readonly method: string;
  readonly path: string;
  readonly body: string;
};

/** Where a run that was made here is by now: `from` is its version here that the server's first is. */
export type Moved = Common & {
  readonly is: "moved";
  readonly localId: number;
  readonly id: number;
  readonly from: number;
};

export type Waiting = MadeRun | Put;

function keyOf(each: Waiting | Moved): string {
  const named = each.is === "put" ? slotOf(each) : each.localId;
  return JSON.stringify([each.member, each.is, named]);
}

/** What is put somewhere takes the place of what was; what is added stands beside it. */
function slotOf({ method, path, body }: Put): string {
  return method === "PUT" ? path : `${path} ${body}`;
}

/** Keeps one: on the disk when this resolves. */
export function keepWaiting(each: Waiting | Moved): Promise<void> {
  return keepOnDevice("waiting", keyOf(each), each);
}

export function dropWaiting(each: Waiting | Moved): Promise<void> {
  return dropOnDevice("waiting", keyOf(each));
}

/** What waits of a person, the oldest first. */
export async function waitingOf(member: string): Promise<readonly Waiting[]> {
  const all = (await (await onDevice()).getAll("waiting")).filter(isWaiting);
  return all
    .filter((each): each is Waiting => each.member === member && each.is !== "moved")
    .sort((one, other) => one.at - other.at);
}

async function ofLocal<K extends "made" | "moved">(member: string, is: K, localId: number) {
  const value = await (await onDevice()).get("waiting", JSON.stringify([member, is, localId]));
  return isWaiting(value) ? (value as Extract<Waiting | Moved, { is: K }>) : null;
}

export const madeRun = (member: string, localId: number) => ofLocal(member, "made", localId);

export const movedRun = (member: string, localId: number) => ofLocal(member, "moved", localId);

/** One that was listed, as it is by now; null, where it is home. */
export async function stillWaiting(each: Waiting): Promise<Waiting | null> {
  const value = await (await onDevice()).get("waiting", keyOf(each));
  return isWaiting(value) ? (value as Waiting) : null;
}

/** What an address is to be told here; null, where that is nothing. */
export async function putHere(member: string, path: string): Promise<Put | null> {
  const value = await (await onDevice()).get("waiting", JSON.stringify([member, "put", path]));
  return isWaiting(value) ? (value as Put) : null;
}

function isWaiting(value: unknown): value is Waiting | Moved {
  return isRecord(value) && typeof value.member === "string" && typeof value.is === "string";
}

/** What a person calls it. */
export function titleOf(each: Waiting): string {
  return each.is === "made"
    ? say("New run {name}", { name: each.document.name ?? "" })
    : say("How far a run is, or what came out at the bench");
}

/** Forgets all of a person. */
export async function forgetWaiting(member: string): Promise<void> {
  for (const key of await keysOnDevice("waiting")) {
    if ((JSON.parse(key) as [string])[0] === member) {
      await dropOnDevice("waiting", key);
    }
  }
}
