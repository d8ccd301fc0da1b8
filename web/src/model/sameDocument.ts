// Whether two documents say the same, whatever the order of their fields: the database keeps none.

export function sameDocument(one: unknown, other: unknown): boolean {
  return JSON.stringify(one, inOrder) === JSON.stringify(other, inOrder);
}

function inOrder(_: string, value: unknown): unknown {
  if (value === null || typeof value !== "object" || Array.isArray(value)) {
    return value;
  }
  const fields = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(fields);
}
