// An angle as it is read at the bender.
import { trimmed } from "@/words/text";

export function degrees(value: number): string {
  return `${trimmed(value)}°`;
}
