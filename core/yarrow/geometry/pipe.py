"""Develop and fold: from a polyline with round corners to a straight pipe with bends, and back.

All lengths are in one unit, whichever; angles and rolls are in degrees. The derivation, with the
conventions for roll and frame, is in docs/geometry.md; property tests hold the two to each other.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import accumulate

from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.vectors import (
    ORIGIN,
    Vector,
    along,
    cross,
    dot,
    turned,
    unit,
)
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

AHEAD: Vector = (1.0, 0.0, 0.0)
OUT: Vector = (0.0, 0.0, 1.0)

_STRAIGHT = 1e-9
"""Degrees below which two legs are one: far under what any bender or level can tell."""

_BACK_ON_ITSELF = 180 - 1e-6
"""Degrees from which a corner has no arc any more (its tangents would be endless)."""


@dataclass(frozen=True, slots=True)
class PipeBend:
    """One bend on the straight pipe: where its arc begins, how far it turns, how it is rolled.

    ``roll`` is by how much the plane of this bend is turned about the pipe from the plane of the
    bend before, right-handed about the direction of travel, −180 < roll ≤ 180; 0 on the first.
    """

    arc_start: float
    angle: float
    roll: float
    radius: float

    @property
    def arc_end(self) -> float:
        """Where the arc ends on the straight pipe."""
        return self.arc_start + self.radius * math.radians(self.angle)


@dataclass(frozen=True, slots=True)
class StraightPipe:
    """A polyline, unrolled.

    ``straights`` are the parts between the arcs, one more than the bends; one below zero says that
    the arcs at its ends overlap by that much. ``corners`` names, for each bend, the vertex it is at
    (vertices on a straight line have none). ``first_toward`` is the unit vector that the first bend
    turns toward, and ``ahead`` the direction that the pipe starts in.
    """

    cut_length: float
    straights: tuple[float, ...]
    bends: tuple[PipeBend, ...]
    corners: tuple[int, ...]
    ahead: Vector
    first_toward: Vector

    @property
    def rolls_from_start(self) -> list[float]:
        """Each bend's roll from one line drawn along the pipe, degrees, not brought into a turn."""
        return list(accumulate(bend.roll for bend in self.bends))

    def only(self, numbers: Sequence[int]) -> list[PipeBend]:
        """Just some of its bends, each rolled from the one before it among them.

        Args:
            numbers: theirs along the pipe, from 0, from either end on; at least one.
        """
        rolls, first = self.rolls_from_start, numbers[0]
        return [
            replace(self.bends[at], roll=rolls[at] - rolls[previous])
            for at, previous in zip(numbers, (first, *numbers[:-1]), strict=True)
        ]


@dataclass(frozen=True, slots=True)
class Folded:
    """A bent pipe: its vertices with both ends, and the direction in which it leaves."""

    vertices: tuple[Vector, ...]
    direction: Vector


def straights_beside(bends: Sequence[PipeBend], cut_length: float) -> tuple[float, ...]:
    """The parts of a pipe between its arcs and at its ends, one more than the bends; below zero
    where arcs overlap.

    Args:
        bends: in order along the pipe.
        cut_length: in the same unit.

    Returns:
        In the same unit.
    """
    begins = (0.0, *(bend.arc_end for bend in bends))
    ends = (*(bend.arc_start for bend in bends), cut_length)
    return tuple(end - begin for begin, end in zip(begins, ends, strict=True))


def develop(vertices: Sequence[Vector], radius: float) -> StraightPipe:
    """Unroll a polyline with an arc of ``radius`` in each corner.

    Cut length = Σ straights + Σ arcs, with straight_i = |V_i V_i+1| − T(θ_i) − T(θ_i+1).

    Args:
        vertices: at least two, with both ends.
        radius: ≥ 0.

    Returns:
        The straight pipe; straights below zero are left to the caller to judge.

    Raises:
        GeometryError("repeated-point" | "folds-back", index of the vertex).

    Source:
        docs/geometry.md.
    """
    directions: list[Vector] = []
    lengths: list[float] = []
    for index in range(len(vertices) - 1):
        (x, y, z), (next_x, next_y, next_z) = vertices[index], vertices[index + 1]
        x, y, z = next_x - x, next_y - y, next_z - z
        size = math.hypot(x, y, z)
        if size == 0.0:
            raise GeometryError("repeated-point", index + 1)
        factor = 1 / size
        directions.append((x * factor, y * factor, z * factor))
        lengths.append(size)

    bends: list[PipeBend] = []
    straights: list[float] = []
    corners: list[int] = []
    first_toward = OUT if abs(dot(directions[0], OUT)) < 0.9 else AHEAD
    before: Vector | None = None
    place = 0.0
    straight = lengths[0]
    for index in range(1, len(directions)):
        arriving, leaving = directions[index - 1], directions[index]
        (ax, ay, az), (lx, ly, lz) = arriving, leaving
        x, y, z = ay * lz - az * ly, az * lx - ax * lz, ax * ly - ay * lx
        sine = math.hypot(x, y, z)
        angle = math.degrees(ieee.atan2(sine, ax * lx + ay * ly + az * lz))
        if angle < _STRAIGHT:
            straight += lengths[index]
            continue
        if angle > _BACK_ON_ITSELF:
            raise GeometryError("folds-back", index)
        factor = 1 / sine
        normal = (x * factor, y * factor, z * factor)
        tangent = tangent_length(radius, angle)
        straight -= tangent
        if before is None:
            roll, first_toward = 0.0, cross(normal, arriving)
        else:
            roll = _roll(before, normal, arriving)
        place += straight
        bends.append(PipeBend(place, angle, roll, radius))
        straights.append(straight)
        corners.append(index)
        place = bends[-1].arc_end
        straight = lengths[index] - tangent
        before = normal
    straights.append(straight)
    return StraightPipe(
        place + straight,
        tuple(straights),
        tuple(bends),
        tuple(corners),
        directions[0],
        first_toward,
    )


def _roll(before: Vector, normal: Vector, travel: Vector) -> float:
    """From one bend's plane to the next about the leg they share, in (−180, 180]."""
    sine, cosine = dot(cross(before, normal), travel), dot(before, normal)
    # Offsets are exactly opposite; noise in the sine must not make that −180.
    if abs(sine) < 1e-12 and cosine < 0:
        return 180.0
    return math.degrees(ieee.atan2(sine, cosine))


def fold(
    bends: Sequence[PipeBend],
    cut_length: float,
    *,
    start: Vector = ORIGIN,
    ahead: Vector = AHEAD,
    first_toward: Vector = OUT,
) -> Folded:
    """Bend a straight pipe: the way back from develop().

    Args:
        bends: in order along the pipe.
        cut_length: in the same unit as their places.
        start: where the pipe begins and in which direction (unit).
        ahead: where the pipe begins and in which direction (unit).
        first_toward: the unit vector square to ahead from which the first bend's roll is counted.

    Returns:
        The vertices, with both ends, and the direction of the last leg.

    Raises:
        GeometryError("arcs-overlap", bend) where an arc would begin before the last one ends, or
        the last one beyond the end of the pipe (bend = number of bends).

    Source:
        docs/geometry.md.
    """
    end_of_last = 0.0
    for index, bend in enumerate(bends):
        if bend.arc_start < end_of_last - 1e-9:
            raise GeometryError("arcs-overlap", index)
        end_of_last = bend.arc_end
    if cut_length < end_of_last - 1e-9:
        raise GeometryError("arcs-overlap", len(bends))
    return fold_anyhow(bends, cut_length, start=start, ahead=ahead, first_toward=first_toward)


def fold_anyhow(
    bends: Sequence[PipeBend],
    cut_length: float,
    *,
    start: Vector = ORIGIN,
    ahead: Vector = AHEAD,
    first_toward: Vector = OUT,
) -> Folded:
    """The same where arcs may overlap, which the caller judges: the straight between them is then
    gone back along.

    Args:
        bends: as of fold: lengths in one unit.
        cut_length: as of fold: lengths in one unit.
        start: as of fold: lengths in one unit.
        ahead: as of fold: lengths in one unit.
        first_toward: as of fold: lengths in one unit.
    """
    vertices = [start]
    direction, toward = ahead, first_toward
    reach = 0.0  # from the last vertex to where the pipe is straight again
    end_of_last = 0.0
    for bend in bends:
        tangent = tangent_length(bend.radius, bend.angle)
        vertices.append(
            along(vertices[-1], direction, reach + bend.arc_start - end_of_last + tangent)
        )
        toward, _ = turned(toward, cross(direction, toward), bend.roll)
        direction, toward = turned(direction, toward, bend.angle)
        # Squared anew: over hundreds of bends what is a hair off would grow.
        direction = unit(direction)
        toward = unit(along(toward, direction, -dot(toward, direction)))
        reach, end_of_last = tangent, bend.arc_end
    vertices.append(along(vertices[-1], direction, reach + cut_length - end_of_last))
    return Folded(tuple(vertices), direction)
