// A box looked into, on the screen: where its walls are, and a point along one of them.
export type Wall = "left" | "right" | "top" | "bottom";

export type BoxView = {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  /** Pixels for a unit of length. */
  readonly scale: number;
};

/** A box of some size as large as a room takes it, with a margin all round. */
export function boxView(
  sides: { readonly width: number; readonly height: number },
  room: { readonly width: number; readonly height: number },
  margin: number,
): BoxView {
  const wide = Math.max(sides.width, 1e-6);
  const tall = Math.max(sides.height, 1e-6);
  const scale = Math.max(
    Math.min((room.width - 2 * margin) / wide, (room.height - 2 * margin) / tall),
    1e-6,
  );
  const width = wide * scale;
  const height = tall * scale;
  return {
    left: (room.width - width) / 2,
    top: (room.height - height) / 2,
    width,
    height,
    scale,
  };
}

/** The point on a wall, `along` from its left or lower end, `inward` from it (out of it below 0). */
export function onWall(view: BoxView, wall: Wall, along: number, inward = 0) {
  const run = along * view.scale;
  const deep = inward * view.scale;
  const { left, top, width, height } = view;
  switch (wall) {
    case "left":
      return { x: left + deep, y: top + height - run };
    case "right":
      return { x: left + width - deep, y: top + height - run };
    case "top":
      return { x: left + run, y: top + deep };
    case "bottom":
      return { x: left + run, y: top + height - deep };
  }
}

/** A rectangle that stands on a wall: as wide along it, and from one depth to another. */
export function standing(
  view: BoxView,
  wall: Wall,
  along: number,
  across: number,
  from: number,
  to: number,
) {
  const one = onWall(view, wall, along - across / 2, from);
  const other = onWall(view, wall, along + across / 2, to);
  return {
    x: Math.min(one.x, other.x),
    y: Math.min(one.y, other.y),
    width: Math.abs(one.x - other.x),
    height: Math.abs(one.y - other.y),
  };
}

const ANCHORS = { left: "end", right: "start", top: "middle", bottom: "middle" } as const;
const BASELINES = { left: "central", right: "central", top: "auto", bottom: "hanging" } as const;
const CLEAR = 5;

/** A text just beyond a stub that stands so far out of a wall. */
export function outside(view: BoxView, wall: Wall, along: number, stub: number) {
  const { x, y } = onWall(view, wall, along, -stub - CLEAR / view.scale);
  return { x, y, textAnchor: ANCHORS[wall], dominantBaseline: BASELINES[wall] } as const;
}
