// An angle as it is read at the bender.

export function degrees(value: number): string {
  return `${Number(value.toFixed(2))}°`;
}
