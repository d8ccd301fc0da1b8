// The legs of a walk: each turn begins one.
import type { Line } from "@/model/document";
import { KINDS } from "./kinds";

/** The leg that a line lies on, counted from 1. */
export function legOf(walk: readonly Line[], index: number): number {
  return 1 + walk.slice(0, Math.max(index, 0)).filter(({ kind }) => KINDS[kind].endsLeg).length;
}

/** How many there are. */
export function legsOf(walk: readonly Line[]): number {
  return legOf(walk, walk.length);
}
