// The divisions of a tape along a stretch of pipe, as fine as can be read at a scale.
import type { Units } from "@/model/document";

export type Tick = { readonly at: number; readonly long: boolean; readonly label: string };

const STEPS = { in: [1, 3, 6, 12, 60, 120], mm: [10, 50, 100, 500, 1000, 5000] } as const;
/** Between a tape's inches and its feet, figures would be read for the wrong one of the two. */
const LABELS = { in: [1, 12, 60, 120], mm: [10, 50, 100, 500, 1000, 5000] } as const;
const LONG_EVERY = { in: 12, mm: 500 } as const;
const CLOSEST_TICKS = 7;
const CLOSEST_LABELS = 44;

export function ruler(units: Units, from: number, to: number, scale: number): Tick[] {
  const step = STEPS[units].find((size) => size * scale >= CLOSEST_TICKS) ?? STEPS[units].at(-1);
  const every =
    LABELS[units].find((size) => size * scale >= CLOSEST_LABELS) ?? LABELS[units].at(-1);
  if (!step || !every) {
    return [];
  }
  const first = Math.ceil(from / step - 1e-9);
  const last = Math.floor(to / step + 1e-9);
  return Array.from({ length: Math.max(last - first + 1, 0) }, (_, index) => {
    const at = (first + index) * step;
    return {
      at,
      long: at % LONG_EVERY[units] === 0,
      label: at % every === 0 ? label(units, at) : "",
    };
  });
}

function label(units: Units, at: number): string {
  return units === "in" && at % 12 === 0 ? `${at / 12}'` : String(at);
}
