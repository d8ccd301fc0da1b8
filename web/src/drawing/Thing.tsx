// Something on site: what the run steps over, a box or a coupling at an end.
import { along, type Point3, point3 } from "@/geometry/centreline";
import { bounds, type Point2 } from "@/geometry/views";
import type { Plan } from "@/model/document";

type Props = {
  thing: Plan["things"][number];
  place: (point: Point3) => Point2;
  /** By how many lines its name is lower than usual, past the names of its neighbours. */
  lower?: number;
};

const THINNEST = 7;
const SMALLEST_BOX = 16;
const SMALLEST_COUPLING = 12;
const LINE = 16;
/** How far a plate is drawn beyond its hole, in the hole's own width. */
const PLATE = 4;
const HALO = "stroke-canvas [paint-order:stroke]";

/** A ledge or block, or something round, to be stepped over. */
export function Obstacle({ thing, place, lower = 0 }: Props) {
  if (thing.kind === "hole") {
    return <Hole thing={thing} place={place} />;
  }
  const near = point3(thing.at);
  const ahead = point3(thing.ahead);
  const toward = point3(thing.toward);
  const far = along(near, ahead, thing.along);
  const corners = [
    near,
    far,
    along(far, toward, -thing.height),
    along(near, toward, -thing.height),
  ];
  const flat = corners.map(place);
  const box = bounds(flat);
  // Seen edge on, it is a line that would only be in the way.
  if (box.bottom - box.top < THINNEST || box.right - box.left < THINNEST) {
    return null;
  }
  // Its name goes on the side that the pipe is not on.
  const pipe = place(along(near, toward, 1));
  const under = pipe[1] < (flat[0]?.[1] ?? 0);
  const beside = Math.abs(pipe[0] - (flat[0]?.[0] ?? 0)) > Math.abs(pipe[1] - (flat[0]?.[1] ?? 0));
  const label = {
    x: (box.left + box.right) / 2,
    y: beside
      ? (box.top + box.bottom) / 2
      : under
        ? box.bottom + 16 + lower * LINE
        : box.top - 8 - lower * LINE,
  };
  return (
    <g>
      {thing.kind === "round" ? (
        <ellipse
          cx={(box.left + box.right) / 2}
          cy={(box.top + box.bottom) / 2}
          rx={(box.right - box.left) / 2}
          ry={(box.bottom - box.top) / 2}
          fill="url(#hatch)"
          className="stroke-strong-line"
        />
      ) : (
        <polygon
          points={flat.map((corner) => corner.join(",")).join(" ")}
          fill="url(#hatch)"
          className="stroke-strong-line"
          strokeWidth="1"
        />
      )}
      {thing.label ? (
        <text
          x={label.x}
          y={label.y}
          textAnchor="middle"
          strokeWidth="5"
          className={`fill-soft text-[13px] ${HALO}`}
        >
          {thing.label}
        </text>
      ) : null}
    </g>
  );
}

/** A bored plate on both sides of its hole; seen face on, nothing. */
function Hole({ thing, place }: Props) {
  const at = point3(thing.at);
  const toward = point3(thing.toward);
  const sides = [-1, 1].map((side) => [
    place(along(at, toward, side * thing.height)),
    place(along(at, toward, side * thing.height * PLATE)),
  ]);
  const [near, far] = sides[1] ?? [];
  if (!near || !far || Math.hypot(far[0] - near[0], far[1] - near[1]) < THINNEST) {
    return null;
  }
  return (
    <g>
      {sides.map((side) => (
        <polyline
          key={side.join()}
          points={side.map((point) => point.join(",")).join(" ")}
          className="stroke-strong-line"
          strokeWidth="4"
        />
      ))}
      <text
        x={far[0] + 8}
        y={far[1] + 5}
        strokeWidth="5"
        className={`fill-soft text-[13px] ${HALO}`}
      >
        {thing.label}
      </text>
    </g>
  );
}

export function Fitting({ thing, place }: Props) {
  const [x, y] = place(point3(thing.at));
  const [aheadX, aheadY] = place(along(point3(thing.at), point3(thing.ahead), 1));
  const level = Math.abs(aheadX - x) >= Math.abs(aheadY - y);
  // To scale, seen from whichever side; never so small that it can't be told from the pipe.
  const across = [thing.ahead, thing.toward].map((side) => {
    const [farX, farY] = place(along(point3(thing.at), point3(side), thing.along));
    return Math.hypot(farX - x, farY - y);
  });
  const size = Math.max(...across, thing.kind === "box" ? SMALLEST_BOX : SMALLEST_COUPLING);
  const centre = level
    ? [x + (Math.sign(aheadX - x) * size) / 2, y]
    : [x, y + (Math.sign(aheadY - y) * size) / 2];
  const [cx = x, cy = y] = centre;
  return (
    <g>
      <rect
        x={cx - size / 2}
        y={cy - size / 2}
        width={size}
        height={size}
        rx="2"
        className="fill-paper stroke-ink"
        strokeWidth="1.6"
      />
      {thing.label ? (
        <text
          x={level ? cx : cx - size / 2 - 8}
          y={level ? cy - size / 2 - 8 : cy + 5}
          textAnchor={level ? "middle" : "end"}
          strokeWidth="5"
          className={`fill-ink text-[13px] font-medium ${HALO}`}
        >
          {thing.label}
        </text>
      ) : null}
    </g>
  );
}
