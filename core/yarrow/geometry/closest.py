"""How near two round-cornered polylines come that run beside each other."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.vectors import Vector, add, along, cross, dot, length, scaled, subtract, unit

_POINTS = 9
"""Places looked at on every arc."""

_NEIGHBOURS = 2
"""Pieces to either side of the same one that are looked at: further off is another leg."""


@dataclass(frozen=True, slots=True)
class Near:
    """Where two centrelines are nearest: how near, the corner of the first that it is at (or the
    leg before it), and the place on it."""

    distance: float
    corner: int
    place: Vector


@dataclass(frozen=True, slots=True)
class _Piece:
    """A straight, or an arc about ``middle`` in the plane of ``out`` and ``ahead``."""

    begins: Vector
    ends: Vector
    middle: Vector | None
    out: Vector
    ahead: Vector
    radius: float
    turn: float

    def points(self) -> list[Vector]:
        if self.middle is None:
            return [self.begins, self.ends]
        return [self.at(self.turn * n / (_POINTS - 1)) for n in range(_POINTS)]

    def at(self, part: float) -> Vector:
        spoke = add(scaled(self.out, math.cos(part)), scaled(self.ahead, math.sin(part)))
        return along(self.middle or self.begins, spoke, self.radius)

    def distance(self, point: Vector) -> float:
        """How far a point is from it."""
        if self.middle is None:
            way = subtract(self.ends, self.begins)
            size = dot(way, way)
            share = dot(subtract(point, self.begins), way) / size if size else 0.0
            return math.dist(point, along(self.begins, way, min(max(share, 0.0), 1.0)))
        off = subtract(point, self.middle)
        part = math.atan2(dot(off, self.ahead), dot(off, self.out))
        return math.dist(point, self.at(min(max(part, 0.0), self.turn)))


def closest(
    one: Sequence[Vector],
    other: Sequence[Vector],
    radii: Sequence[float],
    other_radii: Sequence[float],
) -> Near:
    """The least distance between centrelines of as many corners, looking from the ends of straights
    and from along the arcs of both.

    Args: vertices of both, with both ends; the radius of the arc in each corner of both.
    """
    mine, theirs = _pieces(one, radii), _pieces(other, other_radii)
    best = Near(math.inf, 0, one[0])
    for number, piece in enumerate(mine):
        low, high = max(number - _NEIGHBOURS, 0), number + _NEIGHBOURS + 1
        for facing in theirs[low:high]:
            for looking, at in ((piece, facing), (facing, piece)):
                for point in looking.points():
                    distance = at.distance(point)
                    if distance < best.distance - 1e-9:
                        best = Near(distance, (number + 1) // 2, point)
    return best


def _pieces(vertices: Sequence[Vector], radii: Sequence[float]) -> list[_Piece]:
    found: list[_Piece] = []
    here = vertices[0]
    nowhere: Vector = (0.0, 0.0, 0.0)
    for corner in range(1, len(vertices) - 1):
        arriving = unit(subtract(vertices[corner], vertices[corner - 1]))
        leaving = unit(subtract(vertices[corner + 1], vertices[corner]))
        normal = cross(arriving, leaving)
        sine = length(normal)
        turn = math.atan2(sine, dot(arriving, leaving))
        radius = radii[corner - 1]
        tangent = tangent_length(radius, math.degrees(turn))
        begins = along(vertices[corner], arriving, -tangent)
        ends = along(vertices[corner], leaving, tangent)
        found.append(_Piece(here, begins, None, nowhere, nowhere, 0.0, 0.0))
        if sine > 1e-9:
            inside = cross(scaled(normal, 1 / sine), arriving)
            middle = along(begins, inside, radius)
            out = scaled(inside, -1.0)
            found.append(_Piece(begins, ends, middle, out, arriving, radius, turn))
        else:
            found.append(_Piece(begins, ends, None, nowhere, nowhere, 0.0, 0.0))
        here = ends
    found.append(_Piece(here, vertices[-1], None, nowhere, nowhere, 0.0, 0.0))
    return found
