// The one door that stored drafts come in through: upgraded by shape, or broken with a reason.
import type { BrokenDraft, Draft } from "./draft";

const KINDS = ["run", "box", "bender", "stock", "fittings", "wall", "site"];

export function readDraft(key: string, value: unknown): Draft | BrokenDraft {
  const why = wrong(value);
  return why ? { key, why, text: asText(value) } : (value as Draft);
}

function wrong(value: unknown): string {
  if (!isRecord(value)) {
    return "it is no draft";
  }
  if (value.shape !== 1) {
    return "another version of Yarrow wrote it";
  }
  const texts = ["member", "id", "title", "tab"].every((name) => typeof value[name] === "string");
  const numbers = ["baseVersion", "changed"].every((name) => Number.isFinite(value[name]));
  if (!(texts && numbers) || !KINDS.includes(String(value.kind)) || !isRecord(value.document)) {
    return "part of it is missing";
  }
  if (value.kind !== "run") {
    return "";
  }
  return runProblem(value.document);
}

/** Why a document can't be shown as a run; empty where it can. Its numbers may be half typed. */
export function runProblem(document: unknown): string {
  if (!isRecord(document) || document.format !== "yarrow.run/1") {
    return "it is no run of a kind that this Yarrow knows";
  }
  const { walk, path, conduit, bender } = document;
  const lines = Array.isArray(walk) && walk.every((line) => isRecord(line) && line.kind);
  const tool = typeof bender === "string" || isRecord(bender);
  if (!(lines || (walk === undefined && Array.isArray(path))) || !isRecord(conduit) || !tool) {
    return "part of it is missing";
  }
  return "";
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

function asText(value: unknown): string {
  try {
    return JSON.stringify(value, null, 2) ?? String(value);
  } catch {
    return String(value);
  }
}
