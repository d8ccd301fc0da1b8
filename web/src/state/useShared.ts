// The last answer that there was: what of it is as it was before stays the same object, so that what
// shows it need not be drawn again.
import { replaceEqualDeep } from "@tanstack/react-query";
import { useState } from "react";

/** Of the answers that come one after the other; while there is none, the last. */
export function useShared<T>(answer: T | undefined): T | null {
  const [last, setLast] = useState<{ of: T | null; shared: T | null }>({ of: null, shared: null });
  if (answer && answer !== last.of) {
    setLast({ of: answer, shared: replaceEqualDeep(last.shared, answer) });
  }
  return last.shared;
}
