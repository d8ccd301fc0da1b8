"""Screen geometry for paper: spreading labels along a line, and flattening a run to one view."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence

from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.vectors import Vector, along, length, scaled, subtract
from yarrow.runs.plan import Plan

Point = tuple[float, float]
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


def centreline(plan: Plan, arc_points: int = _ARC_POINTS) -> list[tuple[int | None, list[Vector]]]:
    """The run as pieces to draw: straight parts (None) and the arcs of bends, in order."""
    pieces: list[tuple[int | None, list[Vector]]] = []
    here = plan.path[0]
    for number, bend in enumerate(plan.bends):
        vertex = plan.path[bend.vertex]
        arriving = _unit(subtract(vertex, plan.path[bend.vertex - 1]))
        leaving = _unit(subtract(plan.path[bend.vertex + 1], vertex))
        tangent = tangent_length(bend.radius, bend.angle)
        begin, end = along(vertex, arriving, -tangent), along(vertex, leaving, tangent)
        pieces.append((None, [here, begin]))
        pieces.append((number, _arc(begin, arriving, leaving, bend.angle, bend.radius, arc_points)))
        here = end
    pieces.append((None, [here, plan.path[-1]]))
    return pieces


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


def _unit(vector: Vector) -> Vector:
    return scaled(vector, 1 / (length(vector) or 1.0))


WALL: View = lambda point: (point[0], -point[1])  # noqa: E731
ABOVE: View = lambda point: (point[0], -point[2])  # noqa: E731


def views(plan: Plan) -> list[tuple[str, View]]:
    """The views that show something: the wall from the front, then from above."""
    across = max(abs(point[1]) for point in plan.path)
    out = max(abs(point[2]) for point in plan.path)
    if out < 1e-6:
        return [("On the wall", WALL)]
    if across < 1e-6:
        return [("From above", ABOVE)]
    return [("On the wall", WALL), ("From above", ABOVE)]
