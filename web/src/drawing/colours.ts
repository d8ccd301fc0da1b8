// What a conductor is filled with: by its size, or by what it is for where that is asked.
import type { Part } from "@/model/wires";

export type ColourBy = "size" | "role";

const BY_SIZE = [1, 2, 3, 4, 5, 6].map((rank) => `var(--wire-${rank})`);

/** The colour of each part: sizes by rank, the widest first, the same for what is alike. */
export function partColours(
  parts: readonly Part[],
  by: ColourBy,
  metric: boolean,
): readonly string[] {
  if (by === "role") {
    return parts.map(({ role }) => `var(--${metric ? "uk" : "us"}-${role}, var(--wire-1))`);
  }
  const widths = [...new Set(parts.map(({ diameter, name }) => `${diameter ?? 0} ${name}`))].sort(
    (a, b) => Number.parseFloat(b) - Number.parseFloat(a),
  );
  return parts.map(({ diameter, name }) => {
    const rank = widths.indexOf(`${diameter ?? 0} ${name}`) % BY_SIZE.length;
    return BY_SIZE[rank] ?? "var(--wire-1)";
  });
}
