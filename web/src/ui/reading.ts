// `9' 10 7/16"` in its parts.
export type Parts = {
  readonly whole: string;
  readonly over: string;
  readonly under: string;
  readonly tail: string;
};

/** How large the figures of a fraction are set, and how far the upper one is raised, in ems. */
export const SMALL = 0.64;
export const RAISED = 0.34;

export function parted(text: string): Parts {
  const found = text.match(/^(.*?)\s*(\d+)\/(\d+)(.*)$/);
  const [, whole = text, over = "", under = "", tail = ""] = found ?? [];
  return { whole, over, under, tail };
}

/** About how wide a reading is at a size in pixels, for laying labels out before they are drawn. */
export function widthOf(text: string, size: number): number {
  const { whole, over, under, tail } = parted(text);
  const small = over.length + under.length;
  return size * (0.62 * (whole.length + tail.length) + 0.62 * SMALL * small + (small ? 0.5 : 0.1));
}
