"""Polylines beside a polyline: parallel to every leg of it, at one distance; and wide corners made
of many small ones. No trade words: lengths in one unit, angles in degrees."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from yarrow.geometry.errors import GeometryError
from yarrow.geometry.rounded_polyline import round_corner
from yarrow.geometry.vectors import Vector, add, along, cross, dot, length, scaled, subtract, unit
from yarrow.measure import ieee
from yarrow.values import dataclass

_STRAIGHT = 1e-9


@dataclass(frozen=True, slots=True)
class Sideways:
    """A way sideways that is carried along a polyline: ``ways`` the unit vector on every leg,
    ``outward`` for every corner by how much of a unit the neighbour's corner lies further from the
    corner's inside (below zero: nearer to it; 0 where it is beside it, out of its plane)."""

    ways: tuple[Vector, ...]
    outward: tuple[float, ...]


def carried(vertices: Sequence[Vector], way: Vector) -> Sideways:
    """A way sideways, carried along: it keeps its angle to the plane of each corner.

    Args:
        vertices: of the polyline, with both ends.
        way: a unit vector square to the first leg.

    Source:
        docs/pieces-and-walls.md, racks.
    """
    directions = _directions(vertices)
    ways, outward = [way], []
    for arriving, leaving in pairwise(directions):
        normal = cross(arriving, leaving)
        sine = length(normal)
        if sine < _STRAIGHT:
            ways.append(ways[-1])
            outward.append(0.0)
            continue
        normal = scaled(normal, 1 / sine)
        across, inward = dot(ways[-1], normal), dot(ways[-1], cross(normal, arriving))
        ways.append(add(scaled(normal, across), scaled(cross(normal, leaving), inward)))
        outward.append(-inward)
    return Sideways(tuple(ways), tuple(outward))


def offset_polyline(
    vertices: Sequence[Vector], side: Sideways, distance: float
) -> tuple[Vector, ...]:
    """The polyline at a distance to one side: legs parallel, corners where its legs meet, so that a
    corner moves by the distance × tan(θ/2) along each leg where the side lies in its plane.

    Args:
        vertices: of the polyline, with both ends.
        side: the way sideways on every leg.
        distance: a length.

    Returns:
        As many as ``vertices``, in the same frame.

    Raises:
        GeometryError("leg-reversed", leg) where a leg would have no length left.
    """
    directions = _directions(vertices)
    result = [along(vertices[0], side.ways[0], distance)]
    for corner in range(1, len(vertices) - 1):
        arriving, leaving = directions[corner - 1], directions[corner]
        # The tangent of half the angle between two unit vectors, without finding the angle.
        half = length(subtract(leaving, arriving)) / max(length(add(leaving, arriving)), 1e-12)
        moved = along(vertices[corner], side.ways[corner - 1], distance)
        result.append(along(moved, arriving, side.outward[corner - 1] * distance * half))
    result.append(along(vertices[-1], side.ways[-1], distance))
    for leg, direction in enumerate(directions):
        if dot(subtract(result[leg + 1], result[leg]), direction) <= 0:
            raise GeometryError("leg-reversed", leg)
    return tuple(result)


def chamfered(corner: Sequence[Vector], radius: float, count: int) -> tuple[Vector, ...]:
    """A corner as ``count`` equal ones round an arc of a radius: their legs touch the arc, the
    first and the last on the corner's own legs. Spacing: 2 r tan(θ/2n).

    Args:
        corner: the vertex between its neighbours.
        radius: of the arc, a length.
        count: of equal corners, ≥ 1.

    Returns:
        ``count`` vertices in order, without the neighbours.
    """
    before, vertex, after = corner
    bent = round_corner(before, vertex, after, radius)
    if count == 1 or bent is None:
        return (vertex,)
    step = bent.turn / count
    flat = radius * ieee.tan(step / 2)
    result = []
    place, way = bent.begins, bent.ahead
    for number in range(count):
        place = along(place, way, flat)
        result.append(place)
        turned = step * (number + 1)
        way = add(scaled(bent.ahead, ieee.cos(turned)), scaled(bent.inside, ieee.sin(turned)))
        place = along(place, way, flat)
    return tuple(result)


def _directions(vertices: Sequence[Vector]) -> list[Vector]:
    return [unit(subtract(after, before)) for before, after in pairwise(vertices)]
