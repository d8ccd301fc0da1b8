// The size of an element, as it changes.
import { useLayoutEffect, useRef, useState } from "react";

export function useSize<T extends Element>() {
  const ref = useRef<T>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) {
      return;
    }
    const watcher = new ResizeObserver(() => {
      const { width, height } = element.getBoundingClientRect();
      setSize((old) => (old.width === width && old.height === height ? old : { width, height }));
    });
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  return [ref, size] as const;
}
