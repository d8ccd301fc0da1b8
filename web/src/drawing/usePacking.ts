// A packing worked out in slices, so that dragging a count never waits for it; the last whole one
// is shown until the next is there.
import { useEffect, useState } from "react";
import { type Container, type Packing, settling } from "@/geometry/packing";

const SLICE_MS = 8;

export type Packed = {
  readonly radii: readonly number[];
  readonly container: Container;
  readonly packing: Packing;
};

export function usePacking(radii: readonly number[], container: Container): Packed | null {
  const [packed, setPacked] = useState<Packed | null>(null);
  const key = JSON.stringify([radii, container]);
  useEffect(() => {
    const [given, holder] = JSON.parse(key) as [number[], Container];
    const steps = settling(given, holder);
    let next: ReturnType<typeof setTimeout> | undefined;
    const slice = () => {
      const until = performance.now() + SLICE_MS;
      for (;;) {
        const step = steps.next();
        if (step.done) {
          setPacked({ radii: given, container: holder, packing: step.value });
          return;
        }
        if (performance.now() > until) {
          next = setTimeout(slice, 0);
          return;
        }
      }
    };
    slice();
    return () => clearTimeout(next);
  }, [key]);
  return packed;
}
