"""Screen geometry for paper: spreading labels along a line, and flattening a run to one view."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence

from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.vectors import Vector, along, angle_between, scaled, subtract, unit
from yarrow.runs.model.plan import WrittenPlan

Point = tuple[float, float]
Room = tuple[float, float, float, float]
"""Left, top, right and bottom, in millimetres."""

View = Callable[[Vector], Point]

_ARC_POINTS = 9


def spread(
    wanted: Sequence[float], widths: Sequence[float], low: float, high: float
) -> list[float]:
    """Centres for labels, in order, as near as can be to where they belong, none overlapping.

    Neighbours that collide are joined into a block, which is placed where it moves them least
    (pool adjacent violators). Args: wanted, ascending; widths; low and high, the room there is.
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
    """Where points go so that they fill a room, at one scale and in its middle; and the scale."""
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


def centreline(
    plan: WrittenPlan, arc_points: int = _ARC_POINTS
) -> list[tuple[int | None, list[Vector]]]:
    """The run as pieces to draw: straight parts (None) and the arcs of bends, in order."""
    pieces: list[tuple[int | None, list[Vector]]] = []
    here = plan.path[0]
    for number, bend in enumerate(plan.bends):
        vertex = plan.path[bend.vertex]
        arriving = unit(subtract(vertex, plan.path[bend.vertex - 1]))
        leaving = unit(subtract(plan.path[bend.vertex + 1], vertex))
        tangent = tangent_length(bend.radius, bend.angle)
        begin, end = along(vertex, arriving, -tangent), along(vertex, leaving, tangent)
        pieces.append((None, [here, begin]))
        pieces.append((number, _arc(begin, arriving, leaving, bend.angle, bend.radius, arc_points)))
        here = end
    pieces.append((None, [here, plan.path[-1]]))
    return pieces


def rounded(path: Sequence[Vector], radius: float) -> list[Vector]:
    """A pipe's centreline from its vertices alone, with an arc of a radius in every corner."""
    points = [path[0]]
    for before, vertex, after in zip(path, path[1:], path[2:], strict=False):
        arriving, leaving = unit(subtract(vertex, before)), unit(subtract(after, vertex))
        angle = angle_between(arriving, leaving)
        if angle > _STRAIGHT:
            begin = along(vertex, arriving, -tangent_length(radius, angle))
            points += _arc(begin, arriving, leaving, angle, radius, _ARC_POINTS)
    return [*points, path[-1]]


_STRAIGHT = 1e-6


def _arc(
    begin: Vector, arriving: Vector, leaving: Vector, angle: float, radius: float, count: int
) -> list[Vector]:
    turn = math.radians(angle)
    # The unit vector square to arriving, in the bend's plane, on the side that it turns to.
    side = scaled(subtract(leaving, scaled(arriving, math.cos(turn))), 1 / math.sin(turn))
    points = []
    for step in range(count):
        part = turn * step / (count - 1)
        point = along(begin, arriving, radius * math.sin(part))
        points.append(along(point, side, radius * (1 - math.cos(part))))
    return points


WALL: View = lambda point: (point[0], -point[1])  # noqa: E731
ABOVE: View = lambda point: (point[0], -point[2])  # noqa: E731

_SLANT = 0.35
"""What goes toward or away from who looks is drawn aslant, at this share of its length."""


def from_the_front(point: Vector) -> Point:
    """The wall: ahead to the right, left upward, out toward who looks."""
    x, y, z = point
    return (x - z * _SLANT, -y + z * _SLANT)


def beside_the_bender(point: Vector) -> Point:
    """The bender: the hook to the right, up upward, what leans away up to the right."""
    x, y, z = point
    return (x + y * _SLANT, -z - y * _SLANT)


def views(plan: WrittenPlan) -> list[tuple[str, View]]:
    """The views that show something: the wall from the front, then from above."""
    across = max(abs(point[1]) for point in plan.path)
    out = max(abs(point[2]) for point in plan.path)
    if out < 1e-6:
        return [("On the wall", WALL)]
    if across < 1e-6:
        return [("From above", ABOVE)]
    return [("On the wall", WALL), ("From above", ABOVE)]
