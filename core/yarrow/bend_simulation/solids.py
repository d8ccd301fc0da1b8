"""What stands round the half-bent pipe: the tool's handle and heel, and the table that it is on."""

from __future__ import annotations

import math
from collections.abc import Collection
from itertools import pairwise

from yarrow.benders.bender import Bender
from yarrow.benders.drawn.shapes import HANDLE_LEANS
from yarrow.catalog.stances import Stance
from yarrow.geometry.rounded_polyline import Segment
from yarrow.geometry.vectors import Vector, along, dot, subtract
from yarrow.measure import ieee
from yarrow.measure.units import Unit, convert_length
from yarrow.values import dataclass

_HEEL_LEANS = HANDLE_LEANS + 90.0
"""The heel, a foot's rest, stands square to the handle, over the pipe behind the shoe."""

_BAR_HALF_MM = 15.0
_ARC_STEPS = 6


@dataclass(frozen=True, slots=True)
class Bar:
    """A straight part of the tool that turns with the shoe: from ``near`` to ``far`` of the shoe's
    centre, ``leans`` degrees from the pipe on the hook's side before the bend. ``apart`` is how far
    a pipe's centreline has to stay from its own."""

    leans: float
    near: float
    far: float
    apart: float
    radius: float

    def closest(self, pieces: Collection[Segment], angle_so_far: float) -> tuple[float, float]:
        """The least distance of any piece's centreline from the bar's at a moment of the bend (no
        more than it, where that is far), and the place on the straight pipe.

        Args:
            pieces: of the pipe in the bender's frame.
            angle_so_far: degrees into the bend.

        Returns:
            Both in the bender's unit.
        """
        lean = math.radians(self.leans + angle_so_far)
        way = (ieee.cos(lean), 0.0, ieee.sin(lean))
        middle = (0.0, 0.0, self.radius)
        half_way = along(middle, way, (self.near + self.far) / 2)
        best = (math.inf, 0.0)
        for piece in pieces:
            # What is well out of the bar's reach need not be looked at closely: it is this far off.
            beyond = piece.at_least_off(half_way) - (self.far - self.near) / 2
            if beyond >= best[0]:
                continue
            if beyond > _WELL_OFF * self.apart:
                best = min(best, (beyond, piece.at))
                continue
            points = piece.points(_ARC_STEPS)
            for begins, ends in pairwise(points):
                distance = _bar_distance(begins, ends, middle, way, self.near, self.far)
                if distance < best[0]:
                    best = (distance, piece.at)
        return best

    def speed(self) -> float:
        """The most by which a distance from it changes while a bend goes on by a radian: its far
        end's way round the shoe, and the pipe that is drawn in.

        Returns:
            In the bender's unit, a radian.
        """
        return self.far + self.radius


_WELL_OFF = 2.0
"""Of the distance to be kept."""


def bars(bender: Bender, stance: Stance, unit: Unit) -> dict[str, Bar]:
    """The handle and the heel of a bender, where it has them.

    Returns:
        By ``handle`` and ``heel``; empty of a bender that has neither.
    """
    apart = bender.diameter / 2 + convert_length(_BAR_HALF_MM, "mm", unit)
    groove = bender.radius + bender.diameter / 2
    result = {}
    if stance.handle_mm:
        reach = convert_length(stance.handle_mm, "mm", unit)
        near = 2 * bender.radius
        if reach > near:
            result["handle"] = Bar(HANDLE_LEANS, near, reach, apart, bender.radius)
    if stance.heel_mm:
        reach = groove + convert_length(stance.heel_mm, "mm", unit)
        result["heel"] = Bar(_HEEL_LEANS, bender.radius, reach, apart, bender.radius)
    return result


@dataclass(frozen=True, slots=True)
class Top:
    """A table's top at ``height``: from ``low`` to ``high`` along the pipe, ``aside`` to either
    side. What would lie lower within that is in it."""

    height: float
    low: float
    high: float
    aside: float

    def lowest(self, pieces: Collection[Segment], half: float) -> tuple[float, float]:
        """How far below the top a pipe of that half thickness reaches over it (below zero: how far
        above it stays), and the place on the straight pipe.

        Args:
            half: half of the pipe's thickness, in the bender's unit.

        Returns:
            Both in the bender's unit.
        """
        worst = (-math.inf, 0.0)
        for piece in pieces:
            points = piece.points(_ARC_STEPS)
            for begins, ends in pairwise(points):
                clipped = self._within(begins, ends, half)
                if clipped:
                    way = subtract(ends, begins)
                    size = math.sqrt(dot(way, way)) or 1.0
                    level = math.sqrt(max(1.0 - ieee.square(way[2] / size), 0.0))
                    under = min(along(begins, way, part)[2] for part in clipped) - half * level
                    worst = max(worst, (self.height - under, piece.at))
        return worst

    def _within(self, begins: Vector, ends: Vector, half: float) -> tuple[float, float] | None:
        """The part of a segment that lies over the top, as shares of it."""
        low, high = 0.0, 1.0
        for axis, least, most in (
            (0, self.low - half, self.high + half),
            (1, -self.aside - half, self.aside + half),
        ):
            start, run = begins[axis], ends[axis] - begins[axis]
            if run == 0.0:
                if not least <= start <= most:
                    return None
                continue
            one, other = (least - start) / run, (most - start) / run
            low, high = max(low, min(one, other)), min(high, max(one, other))
        return (low, high) if low <= high else None


def top(bender: Bender, stance: Stance, unit: Unit) -> Top | None:
    """The top of the table under a tool, where there is one."""
    table = stance.table
    if table is None:
        return None
    ahead, behind, aside, under = (
        convert_length(value, "mm", unit)
        for value in (table.ahead, table.behind, table.aside, table.under)
    )
    return Top(-bender.diameter / 2 - under, -behind, ahead, aside)


def _bar_distance(
    begins: Vector, ends: Vector, middle: Vector, way: Vector, low: float, high: float
) -> float:
    """The least distance of a segment from a bar, between two places along it."""
    leg = subtract(ends, begins)
    off = subtract(begins, middle)
    size, across = dot(leg, leg), dot(leg, way)
    if size == 0.0:
        place = min(max(dot(off, way), low), high)
        return math.dist(begins, along(middle, way, place))
    spread = size - across * across
    part = 0.0 if spread <= 1e-12 else (across * dot(off, way) - dot(off, leg)) / spread
    best = math.inf
    for share in (min(max(part, 0.0), 1.0), 0.0, 1.0):
        point = along(begins, leg, share)
        place = min(max(dot(subtract(point, middle), way), low), high)
        on_bar = along(middle, way, place)
        again = min(max(dot(subtract(on_bar, begins), leg) / size, 0.0), 1.0)
        best = min(best, math.dist(along(begins, leg, again), on_bar))
    return best
