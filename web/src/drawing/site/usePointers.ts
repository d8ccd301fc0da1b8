// Fingers and the mouse on a plan: one moves it, two enlarge it, the wheel too; a press that did not
// move is a tap.
import { type PointerEvent, useEffect, useRef, useState } from "react";
import type { PlanPoint } from "@/model/sites";
import { dragged, enlarged, type SiteView } from "./siteView";

/** What is moved less than this, in pixels, was tapped. */
const MOVED = 5;
const A_NOTCH = 1.0015;

type Change = (next: (view: SiteView) => SiteView) => void;

export function usePointers(change: Change, tap: (at: PlanPoint) => void) {
  const [element, setElement] = useState<SVGSVGElement | null>(null);
  const down = useRef(new Map<number, PlanPoint>());
  const travelled = useRef(0);
  const here = (event: { clientX: number; clientY: number }): PlanPoint => {
    const box = element?.getBoundingClientRect();
    return [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
  };

  // React listens to the wheel passively, which can't keep the page from moving.
  useEffect(() => {
    if (!element) {
      return;
    }
    const turn = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      const at: PlanPoint = [event.clientX - box.left, event.clientY - box.top];
      change((view) => enlarged(view, A_NOTCH ** -event.deltaY, at));
    };
    element.addEventListener("wheel", turn, { passive: false });
    return () => element.removeEventListener("wheel", turn);
  }, [element, change]);

  const handlers = {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      if (down.current.size === 0) {
        travelled.current = 0;
      }
      down.current.set(event.pointerId, here(event));
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      const before = down.current.get(event.pointerId);
      if (!before) {
        return;
      }
      const now = here(event);
      const other = [...down.current].find(([id]) => id !== event.pointerId)?.[1];
      travelled.current += Math.hypot(now[0] - before[0], now[1] - before[1]);
      down.current.set(event.pointerId, now);
      if (travelled.current >= MOVED) {
        change((view) => dragged(view, before, now, other));
      }
    },
    onPointerUp: (event: PointerEvent<SVGSVGElement>) => {
      const alone = down.current.size === 1;
      down.current.delete(event.pointerId);
      if (alone && travelled.current < MOVED) {
        tap(here(event));
      }
    },
    onPointerCancel: (event: PointerEvent<SVGSVGElement>) => {
      down.current.delete(event.pointerId);
    },
  };
  return { ref: setElement, here, handlers };
}
