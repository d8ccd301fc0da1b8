// What the server is yet to be told, beside drafts: runs that were made here, and changes that are
// one field. In the order that they were made in, each person's own.
import type { Schemas } from "@/api/client";
import { isRecord } from "@/model/isRecord";
import { dropAllOf, dropOnDevice, keepOnDevice, onDevice } from "@/model/onDevice";
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
  return key(each.member, each.is, each.is === "put" ? slotOf(each) : each.localId);
}

function key(member: string, is: (Waiting | Moved)["is"], named: string | number): string {
  return JSON.stringify([member, is, named]);
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

/** What is known by a key; null, where nothing is. */
async function kept<T extends Waiting | Moved>(at: string): Promise<T | null> {
  const value = await (await onDevice()).get("waiting", at);
  return isWaiting(value) ? (value as T) : null;
}

export const madeRun = (member: string, localId: number) =>
  kept<MadeRun>(key(member, "made", localId));

export const movedRun = (member: string, localId: number) =>
  kept<Moved>(key(member, "moved", localId));

/** One that was listed, as it is by now; null, where it is home. */
export const stillWaiting = (each: Waiting) => kept<Waiting>(keyOf(each));

/** What an address is to be told here; null, where that is nothing. */
export const putHere = (member: string, path: string) => kept<Put>(key(member, "put", path));

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
export function forgetWaiting(member: string): Promise<void> {
  return dropAllOf("waiting", [member]);
}
