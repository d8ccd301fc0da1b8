// Drafts as they were kept before each tab had its own: brought over once, for whoever signs in.
import { say } from "@/words/say";
import { keepDraft } from "./drafts";
import { runProblem } from "./runProblem";

const OLD = /^yarrow\.draft\.(\d+)$/;

export async function bringOver(member: string): Promise<void> {
  for (const key of oldKeys()) {
    const id = OLD.exec(key)?.[1] ?? "";
    const found = parsed(key);
    if (!found || runProblem(found.document)) {
      continue; // what can't be read stays where it is
    }
    const title = String((found.document as { name?: unknown }).name ?? say("Run"));
    const { document, baseVersion } = found;
    const changed = Date.now();
    const target = { kind: "run", id, title } as const;
    await keepDraft({ shape: 1, member, ...target, tab: "", baseVersion, changed, document });
    localStorage.removeItem(key);
  }
}

function oldKeys(): string[] {
  try {
    return Object.keys(localStorage).filter((key) => OLD.test(key));
  } catch {
    return [];
  }
}

function parsed(key: string): { document: unknown; baseVersion: number } | null {
  try {
    const found = JSON.parse(localStorage.getItem(key) ?? "null");
    return Number.isFinite(found?.baseVersion) ? found : null;
  } catch {
    return null;
  }
}
