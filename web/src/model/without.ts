// A document's fields without those that say nothing.

type Some<T> = { readonly [K in keyof T]?: T[K] | undefined };

/** Without what is not said any more. */
export function withoutUndefined<T extends object>(fields: Some<T>): T {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as T;
}

/** Without what was left empty, either. */
export function withoutEmpty<T extends object>(fields: Some<T>): T {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== undefined && value !== ""),
  ) as T;
}
