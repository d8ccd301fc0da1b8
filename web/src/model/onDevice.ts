// What this device keeps on its own disk until a server has it: there when the promise resolves, so
// that a browser that is killed, or a phone whose battery goes, takes nothing that was said to be kept.
import { type DBSchema, type IDBPDatabase, openDB } from "idb";

/** Drafts of documents, pieces at the bench, what the server answered, what it is yet to be told. */
type Room = "drafts" | "bench" | "kept" | "waiting";

type Store = DBSchema & Record<Room, { key: string; value: unknown }>;

const ROOMS: readonly Room[] = ["drafts", "bench", "kept", "waiting"];
const VERSION = 3;

let opened: Promise<IDBPDatabase<Store>> | null = null;

/** The store, opened once. */
export function onDevice(): Promise<IDBPDatabase<Store>> {
  opened ??= open().catch((error: unknown) => {
    opened = null;
    throw error;
  });
  return opened;
}

/** A browser that keeps nothing throws where it is asked to: that is a refusal like any other. */
async function open(): Promise<IDBPDatabase<Store>> {
  return openDB<Store>("yarrow", VERSION, {
    upgrade: (database) => {
      for (const room of ROOMS.filter((each) => !database.objectStoreNames.contains(each))) {
        database.createObjectStore(room);
      }
    },
    blocking: () => void closeOnDevice(),
    terminated: () => {
      opened = null;
    },
  });
}

/** Lets go of the store; the next use opens it again. */
export async function closeOnDevice(): Promise<void> {
  const database = opened;
  opened = null;
  (await database)?.close();
}

const waiting = new Map<string, unknown>();
const writing = new Map<string, Promise<void>>();
const slot = (room: Room, key: string) => `${room} ${key}`;

/** Keeps a value: on the disk when this resolves. Of many at once only the newest is written. */
export function keepOnDevice(room: Room, key: string, value: unknown): Promise<void> {
  const at = slot(room, key);
  waiting.set(at, value);
  const running = writing.get(at) ?? write(room, key).finally(() => writing.delete(at));
  writing.set(at, running);
  return running;
}

async function write(room: Room, key: string): Promise<void> {
  const at = slot(room, key);
  while (waiting.has(at)) {
    const next = waiting.get(at);
    waiting.delete(at);
    const change = (await onDevice()).transaction(room, "readwrite", { durability: "strict" });
    await Promise.all([change.store.put(next, key), change.done]);
  }
}

/** Puts a value that is no loss where it goes: it is written when the disk comes to it. */
export async function putOnDevice(room: Room, key: string, value: unknown): Promise<void> {
  await (await onDevice()).put(room, value, key);
}

/** What a room's values are known by. */
export async function keysOnDevice(room: Room): Promise<readonly string[]> {
  return (await onDevice()).getAllKeys(room);
}

/** Forgets what is known by a JSON list that begins with one of some names. */
export async function dropAllOf(room: Room, names: readonly string[]): Promise<void> {
  for (const key of await keysOnDevice(room)) {
    if (names.includes((JSON.parse(key) as [string])[0])) {
      await dropOnDevice(room, key);
    }
  }
}

/** Forgets a value, also one that is being written. */
export async function dropOnDevice(room: Room, key: string): Promise<void> {
  const at = slot(room, key);
  waiting.delete(at);
  await writing.get(at)?.catch(() => undefined);
  await (await onDevice()).delete(room, key);
}

/** Does what no two tabs may do at once with what waits for the server. */
export function inTurn<T>(work: () => Promise<T>): Promise<T> {
  return navigator.locks ? (navigator.locks.request("yarrow.home", work) as Promise<T>) : work();
}
