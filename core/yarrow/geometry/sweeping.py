"""Whether a bent pipe that is turned round about a line meets what stands there, at any moment.

All lengths are in one unit, whichever; angles are in radians.
"""

from __future__ import annotations

import math
from collections.abc import Iterable
from dataclasses import field
from itertools import pairwise
from typing import ClassVar

from yarrow.geometry.rounded_polyline import Segment
from yarrow.geometry.vectors import Vector, add, along, dot, subtract
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

_ARC_STEPS = 6

_ON_THE_LINE = 1e-6
"""What lies no further off the line that it is turned about stays where it is."""

_FIRST = 3
"""Rods, the widest, that are looked at first."""


@dataclass(frozen=True, slots=True)
class Rod:
    """A straight stretch of a centreline, which may lie as far as ``off`` from it: an arc's chord
    does."""

    begins: Vector
    ends: Vector
    off: float = 0.0

    def roughly_beside(self, axis: TurnAxis) -> Ring:
        """Where it lies beside a line, which takes no longer exactly.

        Args:
            axis: the line.
        """
        return self.beside(axis)

    def beside(self, axis: TurnAxis) -> Ring:
        """Where it lies beside a line.

        Args:
            axis: the line.
        """
        (ox, oy, oz), (wx, wy, wz) = axis.origin, axis.way
        x, y, z = self.begins
        begins_x, begins_y, begins_z = x - ox, y - oy, z - oz
        x, y, z = self.ends
        ends_x, ends_y, ends_z = x - ox, y - oy, z - oz
        begins_at = begins_x * wx + begins_y * wy + begins_z * wz
        ends_at = ends_x * wx + ends_y * wy + ends_z * wz
        # Seen along the line it is a straight stretch, and the line a point.
        one_x, one_y, one_z = (
            begins_x - begins_at * wx,
            begins_y - begins_at * wy,
            begins_z - begins_at * wz,
        )
        x, y, z = (
            ends_x - ends_at * wx - one_x,
            ends_y - ends_at * wy - one_y,
            ends_z - ends_at * wz - one_z,
        )
        size = x * x + y * y + z * z
        share = 0.0
        if size:
            share = min(max(-(one_x * x + one_y * y + one_z * z) / size, 0.0), 1.0)
        least = math.hypot(one_x + share * x, one_y + share * y, one_z + share * z)
        most = max(axis.off(self.begins), axis.off(self.ends))
        return Ring(min(begins_at, ends_at), max(begins_at, ends_at), least, most)

    def nearest(self, rod: Rod) -> float:
        """How far another rod's line is from its own.

        Args:
            rod: anywhere.

        Returns:
            A length in their unit.
        """
        return _between_rods(rod, self)

    def moved(self, by: Vector) -> Rod:
        """The same, further on.

        Args:
            by: how far and which way.
        """
        return Rod(add(self.begins, by), add(self.ends, by), self.off)


def rods_of(segments: Iterable[Segment]) -> tuple[Rod, ...]:
    """A centreline as rods: its straights, and the chords of its arcs.

    Args:
        segments: of it, in order.
    """
    rods = []
    for segment in segments:
        off = 0.0
        if segment.bent:
            off = segment.radius * (1.0 - ieee.cos(segment.turn / _ARC_STEPS / 2))
        for begins, ends in pairwise(segment.points(_ARC_STEPS)):
            if begins != ends:
                rods.append(Rod(begins, ends, off))
    return tuple(rods)


@dataclass(frozen=True, slots=True)
class Ring:
    """Where something lies beside a line: from ``low`` to ``high`` along it, between ``least`` and
    ``most`` off it."""

    low: float
    high: float
    least: float
    most: float

    def apart(self, other: Ring) -> float:
        """No more than how near two things come, whichever way either is turned about the line.

        Args:
            other: beside the same line.
        """
        beside = max(self.low - other.high, other.low - self.high, 0.0)
        off = max(self.least - other.most, other.least - self.most, 0.0)
        return math.hypot(beside, off)


@dataclass(frozen=True, slots=True)
class TurnAxis:
    """A line that a pipe is turned about, in the direction ``way``, a unit vector."""

    origin: Vector
    way: Vector

    def off(self, point: Vector) -> float:
        """How far a point is off the line.

        Args:
            point: in the line's frame.

        Returns:
            A length in its unit.
        """
        (ox, oy, oz), (wx, wy, wz), (px, py, pz) = self.origin, self.way, point
        x, y, z = px - ox, py - oy, pz - oz
        return math.hypot(y * wz - z * wy, z * wx - x * wz, x * wy - y * wx)

    def turned(self, rod: Rod, angle: float) -> Rod:
        """A rod after a turn about the line.

        Args:
            rod: before it.
            angle: of the turn, radians.
        """
        cosine, sine = ieee.cos(angle), ieee.sin(angle)
        (ox, oy, oz), (wx, wy, wz) = self.origin, self.way

        def turned(point: Vector) -> Vector:
            px, py, pz = point
            at = (px - ox) * wx + (py - oy) * wy + (pz - oz) * wz
            foot_x, foot_y, foot_z = ox + at * wx, oy + at * wy, oz + at * wz
            x, y, z = px - foot_x, py - foot_y, pz - foot_z
            return (
                foot_x + cosine * x + sine * (wy * z - wz * y),
                foot_y + cosine * y + sine * (wz * x - wx * z),
                foot_z + cosine * z + sine * (wx * y - wy * x),
            )

        return Rod(turned(rod.begins), turned(rod.ends), rod.off)


@dataclass(frozen=True, slots=True)
class Block:
    """A solid with square corners: its middle, three square unit vectors, half its size along
    each."""

    middle: Vector
    axes: tuple[Vector, Vector, Vector]
    half: tuple[float, float, float]

    off: ClassVar[float] = 0.0

    def distance(self, point: Vector) -> float:
        """How far a point is from it; 0 within.

        Args:
            point: in the block's frame.

        Returns:
            A length in its unit.
        """
        (px, py, pz), (mx, my, mz) = point, self.middle
        x, y, z = px - mx, py - my, pz - mz
        (ax, ay, az), (bx, by, bz), (cx, cy, cz) = self.axes
        half_a, half_b, half_c = self.half
        return math.hypot(
            max(abs(x * ax + y * ay + z * az) - half_a, 0.0),
            max(abs(x * bx + y * by + z * bz) - half_b, 0.0),
            max(abs(x * cx + y * cy + z * cz) - half_c, 0.0),
        )

    def nearest(self, rod: Rod) -> float:
        """How far a rod's line is from it; 0 where it goes through.

        Args:
            rod: anywhere.

        Returns:
            A length in its unit.
        """
        way = subtract(rod.ends, rod.begins)
        (px, py, pz), (mx, my, mz), (wx, wy, wz) = rod.begins, self.middle, way
        x, y, z = px - mx, py - my, pz - mz
        seen = [
            (x * ax + y * ay + z * az, wx * ax + wy * ay + wz * az, half)
            for (ax, ay, az), half in zip(self.axes, self.half, strict=True)
        ]

        def slope(share: float) -> float:
            """Of half the distance's square: it never falls along the rod, and goes straight from
            one place where the rod comes level with a face to the next."""
            result = 0.0
            for begins, runs, half in seen:
                at = begins + share * runs
                if abs(at) > half:
                    result += runs * (at - math.copysign(half, at))
            return result

        levels = (
            (face - begins) / runs for begins, runs, half in seen if runs for face in (-half, half)
        )
        before, fell = 0.0, slope(0.0)
        if fell >= 0.0:
            return self.distance(rod.begins)
        for share in (*sorted(level for level in levels if 0.0 < level < 1.0), 1.0):
            rises = slope(share)
            if rises >= 0.0:
                least = before + (share - before) * fell / (fell - rises)
                return self.distance(along(rod.begins, way, least))
            before, fell = share, rises
        return self.distance(rod.ends)

    def roughly_beside(self, axis: TurnAxis) -> Ring:
        """Where it lies beside a line, but for how near it comes to that.

        Args:
            axis: the line.
        """
        at = dot(subtract(self.middle, axis.origin), axis.way)
        along_line = math.fsum(
            half * abs(dot(way, axis.way)) for way, half in zip(self.axes, self.half, strict=True)
        )
        most = axis.off(self.middle) + math.hypot(*self.half)
        return Ring(at - along_line, at + along_line, 0.0, most)

    def beside(self, axis: TurnAxis) -> Ring:
        """Where it lies beside a line.

        Args:
            axis: the line.
        """
        rough = self.roughly_beside(axis)
        low, high = (along(axis.origin, axis.way, at) for at in (rough.low, rough.high))
        return replace(rough, least=self.nearest(Rod(low, high)))

    def moved(self, by: Vector) -> Block:
        """The same, further on.

        Args:
            by: how far and which way.
        """
        return Block(add(self.middle, by), self.axes, self.half)


@dataclass(frozen=True, slots=True)
class Sweep:
    """What rods sweep that are turned right round a line, with where each lies beside it; and where
    all of them do, arcs' sides too: what is clear of that needs no second look."""

    axis: TurnAxis
    rods: tuple[tuple[Rod, Ring], ...]
    all_of_it: Ring
    quarters: dict[Rod, tuple[Rod, ...]] = field(default_factory=dict, compare=False)
    """Where a rod lies at every quarter of a turn, of those that were looked at."""

    @classmethod
    def of(cls, axis: TurnAxis, rods: Iterable[Rod]) -> Sweep:
        """Of rods where they are now; those that lie on the line stay there. The widest come first:
        they meet the most.

        Args:
            axis: that they are turned about.
            rods: in any order.
        """
        beside = ((rod, rod.beside(axis)) for rod in rods)
        moving = [moved for moved in beside if moved[1].most > _ON_THE_LINE]
        rings = [ring for _, ring in moving]
        off = max((rod.off for rod, _ in moving), default=0.0)
        all_of_it = Ring(
            min((ring.low for ring in rings), default=0.0) - off,
            max((ring.high for ring in rings), default=0.0) + off,
            min((ring.least for ring in rings), default=0.0) - off,
            max((ring.most for ring in rings), default=0.0) + off,
        )
        return cls(axis, tuple(sorted(moving, key=lambda moved: -moved[1].most)), all_of_it)

    def meets(self, solid: Block | Rod, apart: float, near: float) -> bool:
        """Whether anything comes nearer to a solid than it has to stay. What is said to stay clear
        does so at every moment; what comes ``near`` to being too near counts as too near.

        Args:
            solid: what stands there: a block, or a pipe's own rod.
            apart: how far a centreline has to stay off, beside what arcs lie off their rods.
            near: as close as is looked, a length.

        Source:
            docs/pieces-and-walls.md, getting it in.
        """
        beside = solid.roughly_beside(self.axis)
        if self.all_of_it.apart(beside) >= apart + solid.off:
            return False
        moving = [
            (rod, ring, apart + rod.off + solid.off)
            for rod, ring in self.rods
            if ring.apart(beside) < apart + rod.off + solid.off
        ]
        if not moving:
            return False
        # What is plainly in the way is seen at a quarter of a turn, before more is worked out.
        if any(
            solid.nearest(turned) < far
            for rod, _, far in moving[:_FIRST]
            for turned in self._at_quarters(rod)
        ):
            return True
        exactly = solid.beside(self.axis)
        return any(
            ring.apart(exactly) < far and self._comes_within(rod, ring.most, solid, far, near)
            for rod, ring, far in moving
        )

    def _at_quarters(self, rod: Rod) -> tuple[Rod, ...]:
        if rod not in self.quarters:
            self.quarters[rod] = tuple(
                self.axis.turned(rod, quarter * math.pi / 2) for quarter in range(4)
            )
        return self.quarters[rod]

    def _comes_within(
        self, rod: Rod, reach: float, solid: Block | Rod, kept: float, near: float
    ) -> bool:
        waiting = [(0.0, math.tau)]
        while waiting:
            begins, ends = waiting.pop()
            moved = reach * (ends - begins) / 2
            middle = (begins + ends) / 2
            result = solid.nearest(self.axis.turned(rod, middle))
            if result >= kept + moved:
                continue
            if result < kept or moved <= near:
                return True
            waiting += [(begins, middle), (middle, ends)]
        return False


def _between_rods(rod: Rod, other: Rod) -> float:
    """The least distance of two rods."""
    a, b = subtract(rod.ends, rod.begins), subtract(other.ends, other.begins)
    off = subtract(rod.begins, other.begins)
    aa, bb, ab = dot(a, a), dot(b, b), dot(a, b)
    spread = aa * bb - ab * ab
    part = 0.0
    if spread > 1e-12 * aa * bb:
        part = min(max((ab * dot(b, off) - bb * dot(a, off)) / spread, 0.0), 1.0)
    best = math.inf
    for share in (part, 0.0, 1.0):
        point = along(rod.begins, a, share)
        there = min(max(dot(subtract(point, other.begins), b) / bb, 0.0), 1.0)
        on_other = along(other.begins, b, there)
        here = min(max(dot(subtract(on_other, rod.begins), a) / aa, 0.0), 1.0)
        best = min(best, math.dist(along(rod.begins, a, here), on_other))
    return best
