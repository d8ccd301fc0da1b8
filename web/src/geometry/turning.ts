// The piece in the bender as it lay before it was turned about itself.
import type { Point3 } from "./centreline";

/**
 * A point of the piece with so much of its turn still to be made.
 *
 * @param point x toward the hook, y away from who looks, z up; the pipe that is held lies along x
 * @param degrees clockwise, seen from the pipe's start
 * @param hook the end of the pipe that the hook faces
 */
export function stillToTurn([x, y, z]: Point3, degrees: number, hook: string): Point3 {
  const turn = ((hook === "end" ? degrees : -degrees) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [x, y * cos + z * sin, z * cos - y * sin];
}
