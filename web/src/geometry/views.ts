// Flat views of a run, and the frame that fits one into a space on the screen.
import type { Plan } from "@/model/document";
import { say } from "@/words/say";
import { type Point3, point3 } from "./centreline";

export type Point2 = readonly [number, number];
export type View = {
  readonly name: "wall" | "above" | "side" | "space";
  readonly title: string;
  readonly flat: (point: Point3) => Point2;
};

const WALL: View = { name: "wall", title: say("On the wall"), flat: ([x, y]) => [x, -y] };
const ABOVE: View = { name: "above", title: say("From above"), flat: ([x, , z]) => [x, -z] };

/** In space, drawn flat: ahead to the right, left into the picture, out upward. */
export const ACROSS: View = {
  name: "space",
  title: say("In space, drawn flat"),
  flat: ([x, y, z]) => [x + y * 0.5, -z - y * 0.5],
};

const HAIR = 1e-6;

/** From the side, laid down so that the run goes from left to right whichever way it climbs. */
function side(way: 1 | -1): View {
  return {
    name: "side",
    title: say("From the side, laid flat"),
    flat: ([, y, z]) => [way * y, -z],
  };
}

/** The views that show something: the wall, and where the run leaves it, the view along which it
 *  goes furthest. */
export function viewsOf(plan: Plan): View[] {
  const path = plan.path.map(point3);
  const reach = (axis: 0 | 1 | 2) => {
    const places = path.map((point) => point[axis]);
    return Math.max(...places) - Math.min(...places);
  };
  if (reach(2) < HAIR) {
    return [WALL];
  }
  if (reach(1) < HAIR) {
    return [ABOVE];
  }
  const climbs = (path.at(-1)?.[1] ?? 0) >= (path[0]?.[1] ?? 0);
  return [WALL, reach(1) > reach(0) ? side(climbs ? 1 : -1) : ABOVE];
}

/** The view in which the pipes of a rack lie beside each other, and not over each other. */
export function rackView(plan: Plan, side: "left" | "right" | "out" | "in"): View {
  const [first = WALL] = viewsOf(plan);
  const shows = side === "left" || side === "right" ? "wall" : "above";
  return first.name === shows ? first : ACROSS;
}

export type Room = {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
};
export type Placed = { readonly scale: number; readonly place: (point: Point2) => Point2 };

export function bounds(points: readonly Point2[]): Room {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.min(...ys),
    bottom: Math.max(...ys),
  };
}

/** Fits what lies in `content` into `room`, centred, at the largest scale that does. */
export function fitInto(content: Room, room: Room): Placed {
  const width = Math.max(content.right - content.left, HAIR);
  const height = Math.max(content.bottom - content.top, HAIR);
  const scale = Math.min(
    Math.max(room.right - room.left, 1) / width,
    Math.max(room.bottom - room.top, 1) / height,
  );
  const centreX = (room.left + room.right) / 2;
  const centreY = (room.top + room.bottom) / 2;
  return {
    scale,
    place: ([x, y]) => [
      centreX + (x - (content.left + content.right) / 2) * scale,
      centreY + (y - (content.top + content.bottom) / 2) * scale,
    ],
  };
}

/** Points for an SVG's polyline, each at its place. */
export function polyline(points: readonly Point2[], place: Placed["place"]): string {
  return points.map((point) => place(point).join(",")).join(" ");
}
