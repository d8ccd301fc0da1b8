// What is not saved yet, kept on this machine until it is: a closed page loses nothing.
import type { RunDocument } from "./document";

export type Draft = { readonly document: RunDocument; readonly baseVersion: number };

const key = (runId: number) => `yarrow.draft.${runId}`;

export function keepDraft(runId: number, draft: Draft): void {
  try {
    localStorage.setItem(key(runId), JSON.stringify(draft));
  } catch {
    // A full or forbidden store: the page itself still holds everything.
  }
}

export function dropDraft(runId: number): void {
  try {
    localStorage.removeItem(key(runId));
  } catch {
    // As above.
  }
}

export function findDraft(runId: number): Draft | null {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(key(runId)) ?? "null");
    return isDraft(found) ? found : null;
  } catch {
    return null;
  }
}

function isDraft(value: unknown): value is Draft {
  return (
    typeof value === "object" &&
    value !== null &&
    "document" in value &&
    typeof value.document === "object" &&
    "baseVersion" in value &&
    typeof value.baseVersion === "number"
  );
}
