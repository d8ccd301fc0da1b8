"""A drawn pipe as a run's path: straights and arcs that join, found in whatever they are drawn."""

from __future__ import annotations

import math
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from itertools import pairwise
from typing import Any

from ezdxf.entities.dxfentity import DXFEntity
from ezdxf.math import OCS, Vec3

from yarrow.documents.errors import DocumentError

MOST_PIECES = 4000
"""Straights and arcs that are looked at: far beyond any run, and quick to join."""

MOST_NESTED = 8
"""Blocks within blocks."""

_JOIN = 1e-4
"""Of the drawing's size: ends as close as this are one place."""

_TANGENT = 1.0
"""Degrees by which an arc's tangent may be off the straight beside it and still be a bend of it."""

_STEEPEST = 175.0
"""Degrees of an arc from which its tangents meet too far away to be a bend's vertex."""

DRAWN = {"LINE", "ARC", "LWPOLYLINE", "POLYLINE"}


@dataclass(frozen=True, slots=True)
class DrawnPiece:
    """A straight, or an arc by its tangents' directions at both ends, its radius and angle."""

    start: Vec3
    end: Vec3
    leaves: Vec3
    arrives: Vec3
    radius: float = 0.0
    angle: float = 0.0

    def turned_round(self) -> DrawnPiece:
        """The same, drawn the other way."""
        return DrawnPiece(
            self.end, self.start, -self.arrives, -self.leaves, self.radius, self.angle
        )


@dataclass(frozen=True, slots=True)
class DrawnPath:
    """Vertices in the drawing's unit, with both ends, and the radius of every arc among them."""

    vertices: tuple[Vec3, ...]
    radii: tuple[float, ...]


def drawn(entities: Iterable[DXFEntity], depth: int = 0) -> Iterator[DXFEntity]:
    """What is drawn, also in blocks that are put in, at their scale and turn.

    Raises: DocumentError, where blocks lie too deep in one another, or what is drawn is too much.
    """
    count = 0
    for entity in entities:
        if entity.dxftype() == "INSERT":
            if depth == MOST_NESTED:
                raise DocumentError("dxf", f"blocks at most {MOST_NESTED} deep in one another")
            insert: Any = entity
            yield from drawn(insert.virtual_entities(), depth + 1)
        elif entity.dxftype() in DRAWN:
            count += 1
            if count > MOST_PIECES:
                raise DocumentError("dxf", f"at most {MOST_PIECES} lines")
            yield entity


def pieces_of(entity: DXFEntity) -> list[DrawnPiece]:
    """The straights and arcs of one entity, in order. Raises: DocumentError."""
    line: Any = entity
    if entity.dxftype() == "LINE":
        return _straight(Vec3(line.dxf.start), Vec3(line.dxf.end))
    if entity.dxftype() == "ARC":
        sweep = math.radians((line.dxf.end_angle - line.dxf.start_angle) % 360)
        return [_arc(line.start_point, line.end_point, sweep, line.ocs())]
    if entity.dxftype() == "POLYLINE" and not line.is_2d_polyline:
        points = [Vec3(vertex.dxf.location) for vertex in line.vertices]
        return [piece for a, b in _pairs(points) for piece in _straight(a, b)]
    ocs = line.ocs()
    if entity.dxftype() == "POLYLINE":
        flat = [(Vec3(v.dxf.location), float(v.dxf.get("bulge", 0.0))) for v in line.vertices]
    else:
        high = float(line.dxf.elevation)
        flat = [(Vec3(x, y, high), float(b)) for x, y, b in line.get_points("xyb")]
    if line.is_closed:
        flat.append((flat[0][0], 0.0))
    found: list[DrawnPiece] = []
    for (start, bulge), (end, _) in _pairs(flat):
        one, other = ocs.to_wcs(start), ocs.to_wcs(end)
        if bulge:
            found.append(_arc(one, other, 4 * math.atan(bulge), ocs))
        else:
            found += _straight(one, other)
    return found


def joined(groups: Sequence[Sequence[DrawnPiece]]) -> list[list[DrawnPiece]]:
    """Groups of pieces that join end to end as one each, whichever way they were drawn."""
    left = [list(group) for group in groups if group]
    size = max((piece.start.magnitude for group in left for piece in group), default=1.0)
    close = max(size * _JOIN, 1e-9)
    found: list[list[DrawnPiece]] = []
    while left:
        chain = left.pop(0)
        grows = True
        while grows:
            grows = False
            for other in left:
                grown = _grown(chain, other, close)
                if grown:
                    chain, grows = grown, True
                    left.remove(other)
                    break
        found.append(chain)
    return found


def path_of(chain: Sequence[DrawnPiece]) -> DrawnPath:
    """The vertices of joined pieces: an arc between two straights is one bend, whose vertex is
    where their tangents meet.

    Raises: DocumentError, where an arc is no bend.
    """
    vertices = [chain[0].start]
    radii: list[float] = []
    for number, piece in enumerate(chain):
        if piece.radius:
            _check_bend(chain, number)
            reach = piece.radius * math.tan(piece.angle / 2)
            vertices.append(piece.start + piece.leaves * reach)
            radii.append(piece.radius)
        elif number and not chain[number - 1].radius:
            vertices.append(piece.start)
    vertices.append(chain[-1].end)
    return DrawnPath(tuple(vertices), tuple(radii))


def _check_bend(chain: Sequence[DrawnPiece], number: int) -> None:
    piece = chain[number]
    place = f"({piece.start.x:.4g}, {piece.start.y:.4g})"
    if math.degrees(piece.angle) > _STEEPEST:
        raise DocumentError(
            "dxf", f"arcs of less than {_STEEPEST:g} degrees; not the one from {place}"
        )
    before = chain[number - 1].arrives if number else piece.leaves
    after = chain[number + 1].leaves if number + 1 < len(chain) else piece.arrives
    off = max(_degrees(before, piece.leaves), _degrees(piece.arrives, after))
    if off > _TANGENT:
        raise DocumentError(
            "dxf",
            f"arcs that go on from the straights beside them; the one from {place} is {off:.1f} "
            "degrees off, so it is no bend",
        )


def _straight(start: Vec3, end: Vec3) -> list[DrawnPiece]:
    way = end - start
    if way.magnitude == 0.0:
        return []
    ahead = way.normalize()
    return [DrawnPiece(start, end, ahead, ahead)]


def _arc(start: Vec3, end: Vec3, sweep: float, ocs: OCS) -> DrawnPiece:
    """An arc from one place to another that turns by ``sweep`` radians, to the left of travel where
    that is above zero, in the plane that it is drawn in."""
    chord = end - start
    up = ocs.to_wcs(Vec3(0, 0, 1)) if ocs.transform else Vec3(0, 0, 1)
    if chord.magnitude == 0.0:
        raise DocumentError("dxf", "arcs that are no whole circles")
    ahead = chord.normalize()
    left = up.cross(ahead)
    half = sweep / 2
    leaves = ahead * math.cos(half) - left * math.sin(half)
    arrives = ahead * math.cos(half) + left * math.sin(half)
    radius = chord.magnitude / (2 * abs(math.sin(half)))
    return DrawnPiece(start, end, leaves, arrives, radius, abs(sweep))


def _grown(
    chain: list[DrawnPiece], other: list[DrawnPiece], close: float
) -> list[DrawnPiece] | None:
    back = [piece.turned_round() for piece in reversed(other)]
    for way in (other, back):
        for one, then in ((chain, way), (way, chain)):
            meet = one[-1].end.distance(then[0].start) <= close
            # The same line drawn twice does not go on from itself.
            if meet and _degrees(one[-1].arrives, then[0].leaves) < _STEEPEST:
                return [*one, *then]
    return None


def _degrees(one: Vec3, other: Vec3) -> float:
    return math.degrees(one.angle_between(other))


def _pairs(items: Sequence[Any]) -> list[tuple[Any, Any]]:
    return list(pairwise(items))
