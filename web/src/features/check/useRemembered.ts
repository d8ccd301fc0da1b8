// A value of this browser's own that is there again the next time.
import { useEffect, useState } from "react";
import { isLike, readStored, writeStored } from "@/model/stored";

export function useRemembered<T>(name: string, first: T) {
  const key = `yarrow.check.${name}`;
  const [value, setValue] = useState<T>(() => readStored(key, isLike(first)) ?? first);
  useEffect(() => writeStored(key, value), [key, value]);
  return [value, setValue] as const;
}
