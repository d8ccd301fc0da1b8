"""A polyline with an arc in each corner: its straights and arcs, measured, sampled and moved.

All lengths are in one unit, whichever; angles of arcs are in radians.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from functools import lru_cache
from typing import ClassVar, Literal, NamedTuple

from yarrow.geometry.vectors import (
    Vector,
    along,
    angle_between,
    cross,
    dot,
    length,
    scaled,
    subtract,
    unit,
)
from yarrow.measure import ieee
from yarrow.values import dataclass

Motion = Callable[[Vector], Vector]

_STRAIGHT_ON = math.radians(1e-9)
"""Sine of an angle below which two legs are one, as where a pipe is developed."""

_POINTS = 9
"""Places looked at on every arc for where two lines come nearest."""

_NEIGHBOURS = 2
"""Pieces to either side of the same one that are looked at: further off is another leg."""

_WIDE = math.pi * 0.9
"""An arc whose tangents meet too far away to be of use."""


@dataclass(frozen=True, slots=True)
class StraightSegment:
    """A straight stretch; ``at`` is where it begins on the developed line."""

    begins: Vector
    ends: Vector
    at: float = 0.0

    bent: ClassVar[Literal[False]] = False

    @property
    def length(self) -> float:
        """From end to end."""
        return math.dist(self.begins, self.ends)

    def points(self, arc_steps: int) -> list[Vector]:
        """Both ends, however many steps an arc takes.

        Args:
            arc_steps: which an arc would take.

        Returns:
            Two places.
        """
        return [self.begins, self.ends]

    def nearest(self, place: Vector) -> Vector:
        """The place on it that is nearest to another.

        Args:
            place: in the frame of the segment.

        Returns:
            In the same frame.
        """
        way = subtract(self.ends, self.begins)
        size = dot(way, way)
        share = dot(subtract(place, self.begins), way) / size if size else 0.0
        return along(self.begins, way, min(max(share, 0.0), 1.0))

    def at_least_off(self, place: Vector) -> float:
        """No more than how far a place is from it, found fast.

        Args:
            place: in the frame of the segment.

        Returns:
            A length in its unit.
        """
        return math.dist(place, self.nearest(place))

    def hull(self) -> Sequence[Vector]:
        """Points whose hull holds it.

        Returns:
            In the frame of the segment.
        """
        return (self.begins, self.ends)

    def lowest(self, radius: float) -> float:
        """The least height of a pipe of that radius, cut square at both ends.

        Args:
            radius: of the pipe.

        Returns:
            Along z, in the segment's unit.
        """
        return min(self.begins[2], self.ends[2]) - radius * self._level()

    def highest(self, radius: float) -> float:
        """The greatest height of a pipe of that radius, cut square at both ends.

        Args:
            radius: of the pipe.

        Returns:
            Along z, in the segment's unit.
        """
        return max(self.begins[2], self.ends[2]) + radius * self._level()

    def moved(self, place: Motion, direction: Motion) -> StraightSegment:
        """The same after a rigid motion.

        Args:
            place: where the motion takes a place.
            direction: where it takes a direction.
        """
        return StraightSegment(place(self.begins), place(self.ends), self.at)

    def _level(self) -> float:
        """The cosine of its slope."""
        down = subtract(self.ends, self.begins)
        size = length(down)
        return math.sqrt(max(1.0 - ieee.square(down[2] / size), 0.0)) if size else 0.0


@dataclass(frozen=True, slots=True)
class ArcSegment:
    """A bent stretch: p(t) = middle + radius (out cos t + ahead sin t), t from 0 to ``turn``;
    ``at`` is where it begins on the developed line."""

    middle: Vector
    out: Vector
    ahead: Vector
    radius: float
    turn: float
    at: float = 0.0

    bent: ClassVar[Literal[True]] = True

    @property
    def length(self) -> float:
        """Along the arc."""
        return self.radius * self.turn

    @property
    def begins(self) -> Vector:
        """Where it begins."""
        return self.point(0.0)

    @property
    def ends(self) -> Vector:
        """Where it ends."""
        return self.point(self.turn)

    def point(self, part: float) -> Vector:
        """The place at an angle into the arc, radians.

        Args:
            part: from its beginning, radians.

        Returns:
            In the frame of the segment.
        """
        return self._at(ieee.cos(part), ieee.sin(part))

    def _at(self, cos: float, sin: float) -> Vector:
        """The place whose spoke has these shares of out and ahead."""
        x, y, z = self.middle
        out_x, out_y, out_z = self.out
        ahead_x, ahead_y, ahead_z = self.ahead
        return (
            x + self.radius * (out_x * cos + ahead_x * sin),
            y + self.radius * (out_y * cos + ahead_y * sin),
            z + self.radius * (out_z * cos + ahead_z * sin),
        )

    def points(self, arc_steps: int) -> list[Vector]:
        """Points along it, both ends included.

        Args:
            arc_steps: one less than the points.

        Returns:
            In the frame of the segment.
        """
        return [self._at(cos, sin) for cos, sin in _parts(self.turn, arc_steps)]

    def nearest(self, place: Vector) -> Vector:
        """The place on it that is nearest to another, which does not lie across its middle.

        Args:
            place: in the frame of the segment.

        Returns:
            In the same frame.
        """
        off = subtract(place, self.middle)
        part = ieee.atan2(dot(off, self.ahead), dot(off, self.out))
        return self.point(min(max(part, 0.0), self.turn))

    def at_least_off(self, place: Vector) -> float:
        """No more than how far a place is from it, found fast.

        Args:
            place: in the frame of the segment.

        Returns:
            A length in its unit.
        """
        return math.dist(self.middle, place) - self.radius

    def hull(self) -> Sequence[Vector]:
        """Points whose hull holds it: its ends and where the tangents there meet.

        Returns:
            Three places in the frame of the segment.
        """
        if self.turn >= _WIDE:
            return tuple(
                along(along(self.middle, self.out, a * self.radius), self.ahead, b * self.radius)
                for a in (-1, 1)
                for b in (-1, 1)
            )
        tangent = self.radius * ieee.tan(self.turn / 2)
        return (self.begins, along(self.begins, self.ahead, tangent), self.ends)

    def lowest(self, radius: float) -> float:
        """The least height of a pipe of that radius where the arc itself turns upward; its ends are
        those of the straights beside it.

        Args:
            radius: of the pipe.

        Returns:
            Along z, in the segment's unit; infinite where it does not turn upward.
        """
        bottom = ieee.atan2(-self.ahead[2], -self.out[2]) % math.tau
        return self.point(bottom)[2] - radius if bottom < self.turn else math.inf

    def highest(self, radius: float) -> float:
        """The greatest height of a pipe of that radius where the arc itself turns downward.

        Args:
            radius: of the pipe.

        Returns:
            Along z, in the segment's unit; infinite below where it does not turn downward.
        """
        top = ieee.atan2(self.ahead[2], self.out[2]) % math.tau
        return self.point(top)[2] + radius if top < self.turn else -math.inf

    def moved(self, place: Motion, direction: Motion) -> ArcSegment:
        """The same after a rigid motion, as of a straight."""
        out, ahead = direction(self.out), direction(self.ahead)
        return ArcSegment(place(self.middle), out, ahead, self.radius, self.turn, self.at)


@lru_cache(maxsize=1024)
def _parts(turn: float, steps: int) -> tuple[tuple[float, float], ...]:
    """The cosine and sine of the parts of an angle, radians, from nothing to all of it."""
    parts = [turn * n / steps for n in range(steps + 1)]
    return tuple((ieee.cos(part), ieee.sin(part)) for part in parts)


Segment = StraightSegment | ArcSegment


def arc_between(begins: Vector, middle: Vector, ends: Vector) -> ArcSegment:
    """The arc of less than half a turn from one place to another about a third.

    Args:
        begins, ends: as far from the middle as each other.
        middle: what it is bent about.
    """
    spoke, last = subtract(begins, middle), subtract(ends, middle)
    out = unit(spoke)
    turn = math.radians(angle_between(spoke, last))
    ahead = unit(subtract(last, scaled(out, dot(last, out))))
    return ArcSegment(middle, out, ahead, length(spoke), turn)


@dataclass(frozen=True, slots=True)
class Near:
    """Where two lines are nearest: how near, the corner of the first that it is at (or the leg
    before it), and the place on it."""

    distance: float
    corner: int
    place: Vector


@dataclass(frozen=True, slots=True)
class RoundedPolyline:
    """Straights and arcs in order: a straight, then for every corner its arc and the straight after
    it. A corner on a straight line has a straight without length in place of its arc."""

    segments: tuple[Segment, ...]

    def nearest_to(self, other: RoundedPolyline) -> Near:
        """The least distance from a line of as many corners that runs beside it, looking from the
        ends of straights and from along the arcs of both.

        Args:
            other: the line beside it, in the same unit.
        """
        best = Near(math.inf, 0, self.segments[0].begins)
        for number, segment in enumerate(self.segments):
            low, high = max(number - _NEIGHBOURS, 0), number + _NEIGHBOURS + 1
            for facing in other.segments[low:high]:
                for looking, at in ((segment, facing), (facing, segment)):
                    for point in looking.points(_POINTS - 1):
                        distance = math.dist(point, at.nearest(point))
                        if distance < best.distance - 1e-9:
                            best = Near(distance, (number + 1) // 2, point)
        return best


class RoundCorner(NamedTuple):
    """A corner with an arc in it: where that begins and ends, the middle that it is bent about, the
    direction that it begins in and the one from there to the middle, and its angle in radians."""

    begins: Vector
    ends: Vector
    middle: Vector
    ahead: Vector
    inside: Vector
    turn: float


def round_corner(
    before: Vector, vertex: Vector, after: Vector, radius: float
) -> RoundCorner | None:
    """The arc in a corner; None where the line goes straight on.

    Args:
        before, vertex, after: the corner between its neighbours.
        radius: of the arc, ≥ 0, in the unit of the vertices.
    """
    (bx, by, bz), (vx, vy, vz), (nx, ny, nz) = before, vertex, after
    ax, ay, az = vx - bx, vy - by, vz - bz
    factor = 1 / (math.hypot(ax, ay, az) or 1.0)
    arriving = ax, ay, az = ax * factor, ay * factor, az * factor
    lx, ly, lz = nx - vx, ny - vy, nz - vz
    factor = 1 / (math.hypot(lx, ly, lz) or 1.0)
    lx, ly, lz = lx * factor, ly * factor, lz * factor
    nx, ny, nz = ay * lz - az * ly, az * lx - ax * lz, ax * ly - ay * lx
    sine = math.hypot(nx, ny, nz)
    if sine <= _STRAIGHT_ON:
        return None
    turn = ieee.atan2(sine, ax * lx + ay * ly + az * lz)
    tangent = radius * ieee.tan(turn / 2)
    begins = (vx - tangent * ax, vy - tangent * ay, vz - tangent * az)
    ends = (vx + tangent * lx, vy + tangent * ly, vz + tangent * lz)
    factor = 1 / sine
    inside = cross((nx * factor, ny * factor, nz * factor), arriving)
    return RoundCorner(begins, ends, along(begins, inside, radius), arriving, inside, turn)


def rounded(vertices: Sequence[Vector], radii: Sequence[float]) -> RoundedPolyline:
    """A polyline with an arc in each of its corners.

    Args:
        vertices: at least two, with both ends; no two neighbours in one place.
        radii: of the arc in each corner, ≥ 0, in the unit of the vertices.
    """
    segments: list[Segment] = []
    here, reached = vertices[0], 0.0
    for corner, radius in enumerate(radii, 1):
        vertex = vertices[corner]
        bent = round_corner(vertices[corner - 1], vertex, vertices[corner + 1], radius)
        begins, ends = (bent.begins, bent.ends) if bent else (vertex, vertex)
        segments.append(StraightSegment(here, begins, reached))
        reached += math.dist(here, begins)
        if bent:
            out = scaled(bent.inside, -1.0)
            segments.append(ArcSegment(bent.middle, out, bent.ahead, radius, bent.turn, reached))
        else:
            segments.append(StraightSegment(vertex, vertex, reached))
        reached += segments[-1].length
        here = ends
    segments.append(StraightSegment(here, vertices[-1], reached))
    return RoundedPolyline(tuple(segments))
