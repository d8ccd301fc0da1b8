// Whether the server has another page than this one by now: it says with every answer which it has.
import { useSyncExternalStore } from "react";

const HEADER = "X-Page";

let first = "";
let renewed = false;
const waiting = new Set<() => void>();

/** Takes note of which page an answer's server has. */
export function noticePage(response: Response): void {
  const now = response.headers.get(HEADER) ?? "";
  first ||= now;
  if (!renewed && now && now !== first) {
    renewed = true;
    for (const tell of waiting) {
      tell();
    }
  }
}

function subscribe(tell: () => void): () => void {
  waiting.add(tell);
  return () => waiting.delete(tell);
}

/** Whether the server was renewed under this page. */
export function useRenewed(): boolean {
  return useSyncExternalStore(subscribe, () => renewed);
}
