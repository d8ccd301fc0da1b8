// The size of an element, as it changes; of one that stands there later than what asks, too.
import { useLayoutEffect, useState } from "react";

export function useSize<T extends Element>() {
  const [element, ref] = useState<T | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    if (!element) {
      return;
    }
    const watcher = new ResizeObserver(() => {
      const { width, height } = element.getBoundingClientRect();
      setSize((old) => (old.width === width && old.height === height ? old : { width, height }));
    });
    watcher.observe(element);
    return () => watcher.disconnect();
  }, [element]);
  return [ref, size] as const;
}
