"""Screen geometry for paper: spreading labels along a line, and flattening a run to one view."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from exports.drawing import Point
from yarrow import ArcToDraw, Vector, WrittenPlan, arc_between

Room = tuple[float, float, float, float]
"""Left, top, right and bottom, in millimetres."""

View = Callable[[Vector], Point]

_ARC_STEPS = 8


def spread(
    wanted: Sequence[float], widths: Sequence[float], low: float, high: float
) -> list[float]:
    """Centres for labels, in order, as near as can be to where they belong, none overlapping.

    Neighbours that collide are joined into a block, which is placed where it moves them least
    (pool adjacent violators).

    Args:
        wanted: where their middles belong, ascending.
        widths: of the labels, in the same unit.
        low: where the room begins.
        high: where it ends.

    Returns:
        As many as are wanted, ascending.
    """
    blocks: list[tuple[float, float, list[int]]] = []  # sum of wanted first edges, width, labels
    for index, (centre, width) in enumerate(zip(wanted, widths, strict=True)):
        total, size, labels = centre - width / 2, width, [index]
        while blocks and blocks[-1][0] / len(blocks[-1][2]) + blocks[-1][1] > total / len(labels):
            before_total, before_size, before = blocks.pop()
            # A label's wish, as a wish for where its whole block begins.
            total += before_total - before_size * len(labels)
            size += before_size
            labels = before + labels
        blocks.append((total, size, labels))
    centres = [0.0] * len(wanted)
    edges = []
    edge = low
    for total, size, labels in blocks:
        edge = max(edge, total / len(labels))
        edges.append(edge)
        edge += size
    edge = high
    for start, (_, size, labels) in reversed(list(zip(edges, blocks, strict=True))):
        edge = min(edge - size, start)
        place = edge
        for label in labels:
            centres[label] = place + widths[label] / 2
            place += widths[label]
    return centres


def fitted(points: Sequence[Point], room: Room) -> tuple[Callable[[Point], Point], float]:
    """Where points go so that they fill a room, at one scale and in its middle; and the scale.

    Returns:
        What takes a point to its place; and millimetres a unit.
    """
    xs, ys = [x for x, _ in points], [y for _, y in points]
    left, top, right, bottom = room
    across = (right - left) / max(max(xs) - min(xs), 1e-6)
    scale = min(across, (bottom - top) / max(max(ys) - min(ys), 1e-6))
    middle = ((max(xs) + min(xs)) / 2, (max(ys) + min(ys)) / 2)

    def placed(point: Point) -> Point:
        return (
            (left + right) / 2 + (point[0] - middle[0]) * scale,
            (top + bottom) / 2 + (point[1] - middle[1]) * scale,
        )

    return placed, scale


Piece = tuple[int | None, list[Vector]]
"""Points of a straight (None) or of a bend's arc."""


def centreline(
    path: Sequence[Vector], arcs: Sequence[ArcToDraw], arc_steps: int = _ARC_STEPS
) -> list[Piece]:
    """A pipe as pieces to draw, in order; without arcs its bare corners.

    Args:
        path: the pipe's corners, in the plan's frame.
        arc_steps: that an arc is drawn in.
    """
    pieces: list[Piece] = []
    here = [path[0]] if arcs else list(path[:-1])
    for number, arc in enumerate(arcs):
        points = arc_between(arc.begins, arc.middle, arc.ends).points(arc_steps)
        pieces += [(None, [*here, points[0]]), (number, points)]
        here = [points[-1]]
    return [*pieces, (None, [*here, path[-1]])]


WALL: View = lambda point: (point[0], -point[1])  # noqa: E731
ABOVE: View = lambda point: (point[0], -point[2])  # noqa: E731

_SLANT = 0.35
"""What goes toward or away from who looks is drawn aslant, at this share of its length."""


def from_the_front(point: Vector) -> Point:
    """The wall: ahead to the right, left upward, out toward who looks.

    Args:
        point: in the plan's frame.
    """
    x, y, z = point
    return (x - z * _SLANT, -y + z * _SLANT)


def beside_the_bender(point: Vector) -> Point:
    """The bender: the hook to the right, up upward, what leans away up to the right.

    Args:
        point: in the bender's frame.
    """
    x, y, z = point
    return (x + y * _SLANT, -z - y * _SLANT)


def views(plan: WrittenPlan) -> list[tuple[str, View]]:
    """The views that show something: the wall from the front, then from above.

    Returns:
        Each with its name in words.
    """
    across = max(abs(point[1]) for point in plan.path)
    out = max(abs(point[2]) for point in plan.path)
    if out < 1e-6:
        return [("On the wall", WALL)]
    if across < 1e-6:
        return [("From above", ABOVE)]
    return [("On the wall", WALL), ("From above", ABOVE)]
