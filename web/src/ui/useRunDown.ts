// A number that runs down to nothing whenever it is told anew: for what moves into its place.
import { useEffect, useState } from "react";

const TAKES_MS = 600;

/** What is left of `from`; nothing at once for who wants no motion. Begins anew with each `of`. */
export function useRunDown(from: number, of: number): number {
  const [left, setLeft] = useState({ of, now: from });
  useEffect(() => {
    const still = from === 0 || matchMedia("(prefers-reduced-motion: reduce)").matches;
    const began = performance.now();
    let frame = 0;
    const move = (now: number) => {
      const share = still ? 1 : Math.min(Math.max((now - began) / TAKES_MS, 0), 1);
      setLeft({ of, now: from * (1 - share) ** 2 });
      if (share < 1) {
        frame = requestAnimationFrame(move);
      }
    };
    move(began);
    return () => cancelAnimationFrame(frame);
  }, [from, of]);
  return left.of === of ? left.now : from;
}
