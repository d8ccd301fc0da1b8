import { describe, expect, it } from "vitest";

const SOURCES: Record<string, string> = import.meta.glob("./**/*.{ts,tsx}", {
  query: "?raw",
  import: "default",
  eager: true,
});
const IMPORTED = /(?:from|import\() ?"(@\/|\.{1,2}\/)([^"]+)"/g;

/** The folder of a path within src, however it was named. */
function folderOf(from: string, start: string, path: string): string {
  const parts = start === "@/" ? [] : from.split("/").filter((part) => part !== ".");
  for (const part of `${start === "@/" ? "" : start}${path}`.split("/")) {
    part === ".." ? parts.pop() : part === "." || parts.push(part);
  }
  return parts.slice(0, -1).join("/");
}

/** Which folders each folder imports from, tests left out. */
function folders(): Map<string, Set<string>> {
  const found = new Map<string, Set<string>>();
  for (const [file, text] of Object.entries(SOURCES)) {
    if (!file.includes(".test")) {
      const own = file.slice(2).split("/").slice(0, -1).join("/");
      for (const [, start = "", path = ""] of text.matchAll(IMPORTED)) {
        const other = folderOf(own, start, path);
        if (other !== own) {
          found.set(own, (found.get(own) ?? new Set()).add(other));
        }
      }
    }
  }
  return found;
}

/** All that a folder needs, however far round. */
function needs(folder: string, all: Map<string, Set<string>>, seen = new Set<string>()) {
  for (const next of all.get(folder) ?? []) {
    if (!seen.has(next)) {
      seen.add(next);
      needs(next, all, seen);
    }
  }
  return seen;
}

describe("folders", () => {
  const all = folders();

  it("import one way: none needs itself by way of others", () => {
    expect(all.size).toBeGreaterThan(12);
    expect([...all.keys()].filter((folder) => needs(folder, all).has(folder))).toEqual([]);
  });

  it.each([
    ["model", ["api", "documents", "words"]],
    ["geometry", ["api", "documents", "model", "words"]],
    ["kinds", ["api", "documents", "model", "words"]],
    ["state", ["api", "documents", "model", "words"]],
  ])("%s needs nothing that is drawn", (folder, allowed) => {
    expect([...needs(folder, all)].toSorted()).toEqual(allowed);
  });
});
