// What this browser remembers between visits: read through one checked door, never trusted.

const SHAPE = 1;

/** A remembered value; `null` where there is none, or none that `is` can use. */
export function readStored<T>(key: string, is: (value: unknown) => value is T): T | null {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(key) ?? "null");
    const value = isWrapped(found) ? found.value : found; // before there were shapes: as it is
    return is(value) ? value : null;
  } catch {
    return null;
  }
}

/** Remembers a value, where the browser lets it. */
export function writeStored(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify({ shape: SHAPE, value }));
  } catch {
    // Not remembered, then.
  }
}

/** Whether a value has everything that an example has, of the same types all the way in. */
export function isLike<T>(example: T): (value: unknown) => value is T {
  return (value): value is T => alike(example, value);
}

function alike(example: unknown, value: unknown): boolean {
  if (Array.isArray(example)) {
    return Array.isArray(value);
  }
  if (example === null || typeof example !== "object") {
    return typeof value === typeof example;
  }
  return (
    typeof value === "object" &&
    value !== null &&
    !Array.isArray(value) &&
    Object.entries(example).every(([name, each]) =>
      alike(each, (value as Record<string, unknown>)[name]),
    )
  );
}

function isWrapped(value: unknown): value is { shape: number; value: unknown } {
  return typeof value === "object" && value !== null && "shape" in value && value.shape === SHAPE;
}
