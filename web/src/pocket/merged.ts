// One document out of two that were changed from a third, where that needs no guessing.
import { isRecord } from "@/model/isRecord";
import { sameDocument } from "@/model/sameDocument";

/** Each field as whoever changed it has it; null, where both changed one and not alike. */
export function merged(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (!(isRecord(base) && isRecord(mine) && isRecord(theirs))) {
    return null;
  }
  const result: Record<string, unknown> = {};
  for (const name of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const [was, own, other] = [base[name], mine[name], theirs[name]];
    const changed = !sameDocument(was, own);
    if (changed && !sameDocument(was, other) && !sameDocument(own, other)) {
      return null;
    }
    const value = changed ? own : other;
    if (value !== undefined) {
      result[name] = value;
    }
  }
  return result;
}
