// The one door that stored drafts come in through: upgraded by shape, or broken with a reason.
import { KINDS } from "@/documents/registry";
import { say } from "@/words/say";
import type { BrokenDraft, Draft } from "./draft";
import { isRecord } from "./isRecord";
import { runProblem } from "./runProblem";

export function readDraft(key: string, value: unknown): Draft | BrokenDraft {
  const why = wrong(value);
  return why ? { key, why, text: asText(value) } : (value as Draft);
}

function wrong(value: unknown): string {
  if (!isRecord(value)) {
    return say("it is no draft");
  }
  if (value.shape !== 1) {
    return say("another version of Yarrow wrote it");
  }
  const texts = ["member", "id", "title", "tab"].every((name) => typeof value[name] === "string");
  const numbers = ["baseVersion", "changed"].every((name) => Number.isFinite(value[name]));
  const kind = KINDS.find((each) => each === value.kind);
  if (!(texts && numbers && kind) || !isRecord(value.document)) {
    return say("part of it is missing");
  }
  return kind === "run" ? runProblem(value.document) : "";
}

function asText(value: unknown): string {
  try {
    return JSON.stringify(value, null, 2) ?? String(value);
  } catch {
    return String(value);
  }
}
