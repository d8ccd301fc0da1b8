// Conductors settled in a conduit or a trunking: each lies as low as it can, on two others or on
// the wall, and none overlaps. Screen geometry only: what may go in is the core's to say.

export type Container =
  | { readonly kind: "round"; readonly radius: number }
  | { readonly kind: "box"; readonly width: number; readonly height: number };

/** A circle in the container's frame: the middle of a conduit, or of a trunking's floor, is 0, 0;
 *  y is up. */
export type Circle = { readonly x: number; readonly y: number; readonly r: number };

/** Places by number; null for what found none. */
export type Packing = readonly (Circle | null)[];

const CLOSE = 1e-7;

/** Settle circles one by one, the widest first; every step yields, so that a caller can pause. */
export function* settling(
  radii: readonly number[],
  container: Container,
): Generator<void, Packing> {
  const order = radii.map((_, at) => at).sort((a, b) => (radii[b] ?? 0) - (radii[a] ?? 0));
  const placed: Circle[] = [];
  const found: (Circle | null)[] = radii.map(() => null);
  let full = Number.POSITIVE_INFINITY;
  for (const at of order) {
    const r = radii[at] ?? 0;
    // What is no smaller than one that found no place finds none either.
    const place = r < full ? lowest(r, placed, container) : null;
    if (place) {
      placed.push(place);
      found[at] = place;
    } else {
      full = Math.min(full, r);
    }
    yield;
  }
  return found;
}

export function settled(radii: readonly number[], container: Container): Packing {
  const steps = settling(radii, container);
  for (;;) {
    const step = steps.next();
    if (step.done) {
      return step.value;
    }
  }
}

function lowest(r: number, placed: readonly Circle[], container: Container): Circle | null {
  let best: Circle | null = null;
  const consider = (x: number, y: number) => {
    // Of two as low, the one nearer the middle: so a heap grows evenly.
    const better =
      !best || y < best.y - CLOSE || (y < best.y + CLOSE && Math.abs(x) < Math.abs(best.x));
    if (better && inside(x, y, r, container) && clear(x, y, r, placed)) {
      best = { x, y, r };
    }
  };
  for (const [x, y] of wallRests(r, container)) {
    consider(x, y);
  }
  placed.forEach((one, at) => {
    for (const [x, y] of restsOnWall(r, one, container)) {
      consider(x, y);
    }
    for (let other = at + 1; other < placed.length; other += 1) {
      const second = placed[other];
      if (second) {
        touchingBoth(r, one, second, consider);
      }
    }
  });
  return best;
}

function inside(x: number, y: number, r: number, container: Container): boolean {
  if (container.kind === "round") {
    return Math.hypot(x, y) + r <= container.radius + CLOSE;
  }
  const half = container.width / 2;
  return Math.abs(x) + r <= half + CLOSE && y >= r - CLOSE && y + r <= container.height + CLOSE;
}

function clear(x: number, y: number, r: number, placed: readonly Circle[]): boolean {
  return placed.every((one) => {
    const apart = one.r + r - CLOSE;
    const dx = one.x - x;
    const dy = one.y - y;
    return dx * dx + dy * dy >= apart * apart;
  });
}

type Point = readonly [number, number];

/** Where one rests on the walls alone. */
function wallRests(r: number, container: Container): readonly Point[] {
  if (container.kind === "round") {
    return [[0, r - container.radius]];
  }
  const side = container.width / 2 - r;
  return [
    [0, r],
    [-side, r],
    [side, r],
  ];
}

/** Where one touches a wall and another circle. */
function restsOnWall(r: number, one: Circle, container: Container): readonly Point[] {
  const reach = one.r + r;
  if (container.kind === "round") {
    return meeting({ x: 0, y: 0, r: container.radius - r }, { ...one, r: reach });
  }
  const side = container.width / 2 - r;
  const found: Point[] = [];
  const level = reach * reach - (r - one.y) ** 2;
  if (level >= 0) {
    found.push([one.x - Math.sqrt(level), r], [one.x + Math.sqrt(level), r]);
  }
  for (const x of [-side, side]) {
    const upright = reach * reach - (x - one.x) ** 2;
    if (upright >= 0) {
      found.push([x, one.y + Math.sqrt(upright)]);
    }
  }
  return found;
}

function touchingBoth(
  r: number,
  one: Circle,
  other: Circle,
  consider: (x: number, y: number) => void,
): void {
  const across = one.r + other.r + 2 * r;
  const dx = one.x - other.x;
  const dy = one.y - other.y;
  if (dx * dx + dy * dy > across * across) {
    return;
  }
  for (const [x, y] of meeting({ ...one, r: one.r + r }, { ...other, r: other.r + r })) {
    consider(x, y);
  }
}

/** Where two circles cut each other. */
function meeting(one: Circle, other: Circle): readonly Point[] {
  const dx = other.x - one.x;
  const dy = other.y - one.y;
  const apart = Math.hypot(dx, dy);
  if (apart < CLOSE || apart > one.r + other.r || apart < Math.abs(one.r - other.r)) {
    return [];
  }
  const along = (apart * apart + one.r * one.r - other.r * other.r) / (2 * apart);
  const aside = Math.sqrt(Math.max(one.r * one.r - along * along, 0));
  const x = one.x + (along * dx) / apart;
  const y = one.y + (along * dy) / apart;
  return [
    [x - (aside * dy) / apart, y + (aside * dx) / apart],
    [x + (aside * dy) / apart, y - (aside * dx) / apart],
  ];
}
