// What a box check answers, and how its volumes are read.
import type { Schemas } from "@/api/client";

export type BoxResult = Schemas["BoxResult"];

export function trimmed(value: number): string {
  return String(Number(value.toFixed(2)));
}
