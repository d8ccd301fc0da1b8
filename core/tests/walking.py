"""A second opinion on a planned pipe: its centreline, point by point, with none of develop()."""

from __future__ import annotations

import math
from itertools import pairwise

from yarrow.geometry.vectors import Vector, along, length, subtract
from yarrow.runs.model.plan import WrittenPlan


def walked(plan: WrittenPlan, steps: int = 400) -> list[Vector]:
    """Points along the centreline: the ends of every straight, and ``steps`` in every arc."""
    points = [plan.path[0]]
    for bend in plan.bends:
        vertex = plan.path[bend.vertex]
        before, after = plan.path[bend.vertex - 1], plan.path[bend.vertex + 1]
        arriving, leaving = unit(subtract(vertex, before)), unit(subtract(after, vertex))
        reach = bend.radius * math.tan(math.radians(bend.angle) / 2)
        begin, finish = along(vertex, arriving, -reach), along(vertex, leaving, reach)
        # The centre of the arc is square to the way in, on the inside of the corner.
        inward = unit(subtract(leaving, arriving))
        centre = along(vertex, inward, bend.radius / math.cos(math.radians(bend.angle) / 2))
        for step in range(steps + 1):
            chord = along(begin, subtract(finish, begin), step / steps)
            points.append(along(centre, unit(subtract(chord, centre)), bend.radius))
    return [*points, plan.path[-1]]


def walked_length(plan: WrittenPlan) -> float:
    """The length of the pipe by its chords."""
    points = walked(plan)
    return sum(math.dist(a, b) for a, b in pairwise(points))


def unit(vector: Vector) -> Vector:
    size = length(vector)
    return (vector[0] / size, vector[1] / size, vector[2] / size)
