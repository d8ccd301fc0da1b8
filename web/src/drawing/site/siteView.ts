// How a plan lies on the screen: metres to pixels, moved and enlarged.
import { useCallback, useRef, useState } from "react";
import { type PlanPoint, pointOf } from "@/model/sites";

/** Pixels a metre, and the plan's corner on the screen. Up is north's side: y grows upward. */
export type SiteView = { readonly scale: number; readonly left: number; readonly base: number };

type Size = { readonly width: number; readonly height: number };

/** Pixels left free: beside, over it for what is drawn with, under it for the scale. */
const ASIDE = 0.86;
const OVER = 80;
const UNDER = 60;
const LEAST_M = 40;
/** As far as this, in pixels, a point is drawn to what is there. */
export const REACH = 12;
const SCALES = [0.05, 60] as const;

export function onScreen({ scale, left, base }: SiteView, [x, y]: PlanPoint): PlanPoint {
  return [left + x * scale, base - y * scale];
}

/** A line of the plan as the points of an SVG polyline. */
export function linePoints(view: SiteView, line: readonly (readonly number[])[]): string {
  return line.map((point) => onScreen(view, pointOf(point)).join()).join(" ");
}

export function onPlan({ scale, left, base }: SiteView, [x, y]: PlanPoint): PlanPoint {
  return [(x - left) / scale, (base - y) / scale];
}

/** All of some points, with room around them. */
export function whole(points: readonly PlanPoint[], { width, height }: Size): SiteView {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [low, high] = points.length > 0 ? [Math.min(...xs), Math.max(...xs)] : [0, 100];
  const [down, up] = points.length > 0 ? [Math.min(...ys), Math.max(...ys)] : [0, 60];
  const wide = Math.max(high - low, LEAST_M);
  const tall = Math.max(up - down, LEAST_M);
  const free = Math.max(height - OVER - UNDER, height / 3);
  const scale = Math.min((width * ASIDE) / wide, free / tall);
  return {
    scale,
    left: width / 2 - ((low + high) / 2) * scale,
    base: (height + OVER - UNDER) / 2 + ((down + up) / 2) * scale,
  };
}

/** Enlarged about a point of the screen, which stays where it is. */
export function enlarged(view: SiteView, by: number, [x, y]: PlanPoint): SiteView {
  const scale = Math.min(Math.max(view.scale * by, SCALES[0]), SCALES[1]);
  const share = scale / view.scale;
  return { scale, left: x - (x - view.left) * share, base: y - (y - view.base) * share };
}

/** A pointer went from one point of the screen to another: the plan with it, or, while another one
 * holds, enlarged about that. */
export function dragged(
  view: SiteView,
  before: PlanPoint,
  now: PlanPoint,
  other?: PlanPoint,
): SiteView {
  if (!other) {
    return { ...view, left: view.left + now[0] - before[0], base: view.base + now[1] - before[1] };
  }
  const was = Math.hypot(before[0] - other[0], before[1] - other[1]);
  const is = Math.hypot(now[0] - other[0], now[1] - other[1]);
  return enlarged(view, is / Math.max(was, 1), other);
}

/** The view, as it is moved: all of the plan until somebody moves it. */
export function useSiteView(points: readonly PlanPoint[], size: Size) {
  const [moved, setMoved] = useState<SiteView | null>(null);
  const first = useRef<{ size: Size; view: SiteView } | null>(null);
  if (size.width > 0 && (!first.current || first.current.size !== size)) {
    first.current = { size, view: whole(points, size) };
  }
  const view = moved ?? first.current?.view ?? null;
  const latest = useRef(view);
  latest.current = view;
  const change = useCallback((next: (view: SiteView) => SiteView) => {
    if (latest.current) {
      setMoved(next(latest.current));
    }
  }, []);
  return { view, change, fit: () => setMoved(size.width > 0 ? whole(points, size) : null) };
}

/** A length that is round and not too long for a scale bar, m. */
export function barLength(scale: number): number {
  const most = 140 / scale;
  const ten = 10 ** Math.floor(Math.log10(most));
  return [5, 2, 1].map((step) => step * ten).find((step) => step <= most) ?? ten;
}
