// Whether a document can be shown as a run.
import { say } from "@/words/say";
import { isRecord } from "./isRecord";

/** Why a document can't be shown as a run; empty where it can. Its numbers may be half typed. */
export function runProblem(document: unknown): string {
  if (!isRecord(document) || document.format !== "yarrow.run/1") {
    return say("it is no run of a kind that this Yarrow knows");
  }
  const { walk, path, conduit, bender } = document;
  const lines = Array.isArray(walk) && walk.every((line) => isRecord(line) && line.kind);
  const tool = typeof bender === "string" || isRecord(bender);
  if (!(lines || (walk === undefined && Array.isArray(path))) || !isRecord(conduit) || !tool) {
    return say("part of it is missing");
  }
  return "";
}
