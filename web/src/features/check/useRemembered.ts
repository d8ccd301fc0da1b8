// A value of this browser's own that is there again the next time.
import { useEffect, useState } from "react";

export function useRemembered<T>(name: string, first: T) {
  const key = `yarrow.check.${name}`;
  const [value, setValue] = useState<T>(() => {
    try {
      return (JSON.parse(localStorage.getItem(key) ?? "null") as T | null) ?? first;
    } catch {
      return first;
    }
  });
  useEffect(() => {
    try {
      localStorage.setItem(key, JSON.stringify(value));
    } catch {
      // Not remembered, then.
    }
  }, [key, value]);
  return [value, setValue] as const;
}
