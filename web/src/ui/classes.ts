// Joins class names, leaving out what does not apply.
export function classes(...names: readonly (string | false | null | undefined)[]): string {
  return names.filter(Boolean).join(" ");
}
