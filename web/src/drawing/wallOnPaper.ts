// Where a place of a framed wall lies in its drawing.

export const WALL_MARGIN = 34;

export type OnPaper = {
  /** Pixels for a unit of the wall; 0 until it is known how wide the drawing is. */
  readonly scale: number;
  readonly tall: number;
  readonly x: (along: number) => number;
  readonly y: (up: number) => number;
};

export function onPaper(wall: { length: number; height: number }, width: number): OnPaper {
  const scale = width > 0 ? (width - 2 * WALL_MARGIN) / wall.length : 0;
  return {
    scale,
    tall: wall.height * scale + 2 * WALL_MARGIN,
    x: (along) => WALL_MARGIN + along * scale,
    y: (up) => WALL_MARGIN + (wall.height - up) * scale,
  };
}
