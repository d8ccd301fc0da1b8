// Where a place of a framed wall lies in its drawing.
import { spread } from "@/geometry/spread";

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

const LABEL = 13;

/** How far each line's label goes from its line so that none lies on another, by where they are. */
export function asideOf(places: readonly number[]): number[] {
  const order = places.map((_, at) => at).sort((one, other) => place(one) - place(other));
  const labels = spread(
    order.map(place),
    order.map(() => LABEL),
    -Infinity,
    Infinity,
  );
  const result = new Array<number>(places.length).fill(0);
  order.forEach((at, rank) => {
    result[at] = (labels[rank] ?? 0) - place(at);
  });
  return result;

  function place(at: number): number {
    return places[at] ?? 0;
  }
}
