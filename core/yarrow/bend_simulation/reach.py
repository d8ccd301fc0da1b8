"""How far the moving pipe reaches toward a floor while a bend is made, in closed form.

On a floor what lies ahead of the hook is swept up about the shoe's centre; in the air the tool is
the other way up, what is hooked stays where it is, and what lies behind the shoe is pushed down
and drawn over it. Source: docs/at-the-bender.md, the half-bent pipe.
"""

from __future__ import annotations

import math
from collections.abc import Iterable, Iterator

from yarrow.geometry.rounded_polyline import Segment
from yarrow.geometry.vectors import Vector, subtract, unit
from yarrow.measure import ieee
from yarrow.values import dataclass

_ARC_STEPS = 12
_MOST_NEWTON = 8
_HAIR = 1e-9


@dataclass(frozen=True, slots=True)
class FloorPenetration:
    """The furthest that a pipe comes toward a floor: ``under`` it (below zero: how far it stays
    off), the place on the straight pipe, and the moment, radians into the bend."""

    under: float
    at: float
    moment: float


def lying(pieces: Iterable[Segment], half: float, floor: float) -> FloorPenetration | None:
    """How far what lies still comes under a floor; None where there is nothing.

    Args:
        pieces: in the bender's frame.
        half: the pipe's half thickness, in their unit.
        floor: its height in that frame.
    """
    result = [(floor - piece.lowest(half), piece.at) for piece in pieces]
    return FloorPenetration(*max(result), 0.0) if result else None


def swept(
    pieces: Iterable[Segment], half: float, floor: float, radius: float, turn: float
) -> FloorPenetration | None:
    """How far what is swept up comes under a floor at any moment of a bend: a point at (x, z) is at
    the height R + x sin φ + (z − R) cos φ, whose least value is known.

    Args:
        pieces: before the bend, in the bender's frame.
        half, floor: as for lying.
        radius: of the bend, in the same unit.
        turn: how far it is bent, radians.
    """
    worst: FloorPenetration | None = None
    for piece in pieces:
        for (x, _, z), way in _edges(piece):
            up = z - radius
            moment = _least_moment(x, up, turn)
            height = radius + x * ieee.sin(moment) + up * ieee.cos(moment)
            if worst is not None and floor - height + half <= worst.under:
                continue
            under = floor - height + half * _level(way, moment)
            if worst is None or under > worst.under:
                worst = FloorPenetration(under, piece.at, moment)
    return worst


def pushed_down(
    pieces: Iterable[Segment], half: float, floor: float, radius: float, turn: float
) -> FloorPenetration | None:
    """How far what lies behind the shoe comes under a floor in the air, where it is drawn over the
    shoe and goes round with it: a point u behind and z toward the floor is at
    (u − Rφ) sin φ + (z − R) cos φ beyond the shoe's centre.

    Args:
        pieces, half, radius, turn: as for swept.
        floor: how far it lies beyond the shoe's centre.
    """
    worst: FloorPenetration | None = None
    for piece in pieces:
        for (x, _, z), way in _edges(piece):
            moment = _deepest_moment(-x, z, radius, turn)
            deep = (-x - radius * moment) * ieee.sin(moment) + (z - radius) * ieee.cos(moment)
            if worst is not None and deep - floor + half <= worst.under:
                continue
            under = deep - floor + half * _level(way, -moment)
            if worst is None or under > worst.under:
                worst = FloorPenetration(under, piece.at, moment)
    return worst


def hanging(
    pieces: Iterable[Segment], half: float, floor: float, radius: float
) -> FloorPenetration | None:
    """How far what is hooked comes under a floor in the air: there it lies still.

    Args:
        pieces, half, radius: as for swept.
        floor: how far it lies beyond the shoe's centre, in the same unit.
    """
    result = [(piece.highest(half) - radius - floor, piece.at) for piece in pieces]
    return FloorPenetration(*max(result), 0.0) if result else None


def _edges(piece: Segment) -> Iterator[tuple[Vector, Vector | None]]:
    """The points of a piece that can be its lowest, each with the direction of the pipe where that
    ends square; None along an arc, which is lowest where it lies level."""
    if piece.bent:
        # Its ends are those of the straights beside it.
        for point in piece.points(_ARC_STEPS)[1:-1]:
            yield point, None
    else:
        way = unit(subtract(piece.ends, piece.begins))
        yield piece.begins, way
        yield piece.ends, way


def _level(way: Vector | None, turned: float) -> float:
    """The cosine of a direction's slope, once it is turned up."""
    if way is None:
        return 1.0
    rises = way[0] * ieee.sin(turned) + way[2] * ieee.cos(turned)
    return math.sqrt(max(1.0 - rises * rises, 0.0))


def _least_moment(x: float, up: float, turn: float) -> float:
    """Where x sin φ + up cos φ is least, for φ from 0 to ``turn``."""
    lowest = (ieee.atan2(x, up) + math.pi) % math.tau
    if lowest <= turn:
        return lowest
    return turn if x * ieee.sin(turn) + up * ieee.cos(turn) < up else 0.0


def _deepest_moment(behind: float, toward: float, radius: float, turn: float) -> float:
    """Where (u − Rφ) sin φ + (z − R) cos φ is greatest, for φ from 0 to ``turn``: at an end, or
    where (u − Rφ) cos φ = z sin φ, which Newton's steps find from beyond it."""

    def slope(moment: float) -> float:
        return (behind - radius * moment) * ieee.cos(moment) - toward * ieee.sin(moment)

    if slope(turn) >= 0.0:
        return turn
    if slope(0.0) <= 0.0:
        return 0.0
    low, high = 0.0, turn
    moment = min(ieee.atan2(behind, max(toward, _HAIR)), turn)
    for _ in range(_MOST_NEWTON):
        now = slope(moment)
        low, high = (moment, high) if now > 0 else (low, moment)
        sine, cosine = ieee.sin(moment), ieee.cos(moment)
        steep = -(radius + toward) * cosine - (behind - radius * moment) * sine
        after = moment - now / steep if steep < 0 else (low + high) / 2
        after = after if low <= after <= high else (low + high) / 2
        if abs(after - moment) < _HAIR:
            break
        moment = after
    return moment
