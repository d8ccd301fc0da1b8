// Where a place of a framed wall lies in its drawing.

const MARGIN = 34;

/** Left of the wall the heights of its lines of holes stand: ``73 1/2``, ``1828``. */
export const WALL_LEFT = 54;

export type OnPaper = {
  /** Pixels for a unit of the wall; 0 until it is known how wide the drawing is. */
  readonly scale: number;
  readonly tall: number;
  readonly x: (along: number) => number;
  readonly y: (up: number) => number;
};

export function onPaper(wall: { length: number; height: number }, width: number): OnPaper {
  const scale = width > 0 ? (width - WALL_LEFT - MARGIN) / wall.length : 0;
  return {
    scale,
    tall: wall.height * scale + 2 * MARGIN,
    x: (along) => WALL_LEFT + along * scale,
    y: (up) => MARGIN + (wall.height - up) * scale,
  };
}
