// When a reading has come to rest: what stayed once the bender let go.

export type Settling = {
  /** The reading that the others are held against, degrees. */
  readonly angle: number;
};

/** Degrees that a reading at rest wanders by. */
const WANDERS = 0.6;
export const AT_REST_MS = 700;

/** The same where a reading lies near it; else from this one on. */
export function settling(before: Settling | null, angle: number): Settling {
  return before && Math.abs(before.angle - angle) <= WANDERS ? before : { angle };
}

/** As a level shows it: half degrees. */
export function halfDegrees(angle: number): number {
  return Math.round(2 * angle) / 2;
}
