// What differs between two documents, by path: for choosing between mine and theirs.
import { say } from "@/words/say";
export type Difference = { readonly path: string; readonly mine: string; readonly theirs: string };

export function differences(mine: unknown, theirs: unknown, path = ""): Difference[] {
  if (isObject(mine) && isObject(theirs)) {
    const names = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
    return names.flatMap((name) => differences(mine[name], theirs[name], joined(path, name, mine)));
  }
  return mine === theirs ? [] : [{ path, mine: shown(mine), theirs: shown(theirs) }];
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null;
}

function joined(path: string, name: string, parent: object): string {
  if (Array.isArray(parent)) {
    return `${path}[${name}]`;
  }
  return path ? `${path}.${name}` : name;
}

function shown(value: unknown): string {
  if (value === undefined) {
    return say("not there");
  }
  return typeof value === "string" ? value : JSON.stringify(value);
}
