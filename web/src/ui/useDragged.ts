// A part of a drawing that is dragged: how far it is off while it is, and where it was dropped.
import { type PointerEvent, useRef, useState } from "react";

type Point = readonly [number, number];

/** What is moved less than this, in pixels, was tapped. */
const DRAGGED = 4;

export function useDragged(drop: (off: Point) => void, tap?: () => void) {
  const from = useRef<Point | null>(null);
  const [off, setOff] = useState<Point>([0, 0]);
  const handlers = {
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = [event.clientX, event.clientY];
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (from.current) {
        setOff([event.clientX - from.current[0], event.clientY - from.current[1]]);
      }
    },
    onPointerUp: () => {
      from.current = null;
      setOff([0, 0]);
      if (Math.hypot(...off) < DRAGGED) {
        tap?.();
      } else {
        drop(off);
      }
    },
  };
  return { off, handlers };
}
