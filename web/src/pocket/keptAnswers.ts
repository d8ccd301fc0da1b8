// What the server answered last, kept on this device for when it is not reached: each person's own.
import { isRecord } from "@/model/isRecord";
import { dropAllOf, dropOnDevice, keysOnDevice, onDevice, putOnDevice } from "@/model/onDevice";

/** An answer as it came: its text, and when. */
export type KeptAnswer = { readonly text: string; readonly at: number };

/** Who was last signed in here stands by itself: everything else is found by that. */
const SESSION = "/api/session";

/** What is worth keeping: what a screen that is used without a network is made of. */
const WORTH =
  /^\/api\/(session|jobs|jobs\/\d+|jobs\/\d+\/(runs|boxes|box|walls|sites|stock)|runs\/\d+|runs\/\d+\/bench\/\d+|walls\/\d+|walls\/\d+\/runs|sites\/\d+|benders|benders\/\d+|fittings|catalogue)$/;

const keyOf = (member: string, path: string) =>
  JSON.stringify(path === SESSION ? ["", path] : [member, path]);

export function isWorthKeeping(path: string): boolean {
  return WORTH.test(path.split("?", 1)[0] ?? "");
}

/** Whether an address is that of one document that has versions, so that its save answers it too. */
export function isDocument(path: string): boolean {
  return /^\/api\/(runs|walls|sites)\/\d+$/.test(path);
}

/** The document as the server had it at a version, if that is still here. */
export async function keptVersion(member: string, path: string, version: number) {
  for (const at of [path, `${path}${BEFORE}`]) {
    const kept = await keptAnswer(member, at);
    const found = kept && (JSON.parse(kept.text) as { version?: number; document?: unknown });
    if (found?.version === version) {
      return found.document;
    }
  }
  return undefined;
}

/** The version that stood there before the newest: what is changed here may have begun with it. */
const BEFORE = "#before";

/** Keeps an answer; a device that has no room goes without. */
export async function keepAnswer(member: string, path: string, text: string): Promise<void> {
  const before = isDocument(path) ? await keptAnswer(member, path) : null;
  if (before && versionIn(before.text) !== versionIn(text)) {
    await putOnDevice("kept", keyOf(member, `${path}${BEFORE}`), before);
  }
  const kept: KeptAnswer = { text: path === SESSION ? withoutToken(text) : text, at: Date.now() };
  await putOnDevice("kept", keyOf(member, path), kept);
}

/** The answer that was kept of an address. */
export async function keptAnswer(member: string, path: string): Promise<KeptAnswer | null> {
  const value: unknown = await (await onDevice()).get("kept", keyOf(member, path));
  return isRecord(value) && typeof value.text === "string" ? (value as KeptAnswer) : null;
}

/** What is kept of a person, by its address: only what is wanted is read. */
export async function keptOf(
  member: string,
  isWanted: (path: string) => boolean = () => true,
): Promise<ReadonlyMap<string, KeptAnswer>> {
  const found = new Map<string, KeptAnswer>();
  for (const key of await keysOnDevice("kept")) {
    const [whose, path] = JSON.parse(key) as [string, string];
    const answer = whose === member && isWanted(path) ? await keptAnswer(member, path) : null;
    if (answer) {
      found.set(path, answer);
    }
  }
  return found;
}

/** Forgets what is kept of some addresses. */
export async function forgetAnswers(member: string, paths: readonly string[]): Promise<void> {
  for (const path of paths) {
    await dropOnDevice("kept", keyOf(member, path));
  }
}

/** Forgets all that is kept of a person, and that they were signed in. */
export function forgetKept(member: string): Promise<void> {
  return dropAllOf("kept", [member, ""]);
}

function versionIn(text: string): unknown {
  return (JSON.parse(text) as { version?: unknown }).version;
}

/** A token is of no use to anybody later, and nothing that should lie about. */
function withoutToken(text: string): string {
  return JSON.stringify({ ...(JSON.parse(text) as object), csrf: "" });
}
