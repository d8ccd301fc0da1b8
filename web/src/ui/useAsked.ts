// What was asked for and isn't answered yet: a key that comes sooner than the answer goes on from there.
import { useRef } from "react";

/** Args: answered, the value as it was last answered, a new object each time. */
export function useAsked<T>(answered: object, value: () => T) {
  const asked = useRef<{ after: object; value: T } | null>(null);
  const now = (): T => (asked.current?.after === answered ? asked.current.value : value());
  const ask = (next: T) => {
    asked.current = { after: answered, value: next };
  };
  return [now, ask] as const;
}
