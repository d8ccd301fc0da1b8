"""The estimated pull: tension along a run in both directions, and pressure on its bends."""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise
from typing import Literal

from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.vectors import Vector, add, dot, subtract, unit
from yarrow.measure import ieee
from yarrow.values import dataclass

FeedEnd = Literal["start", "end"]


@dataclass(frozen=True, slots=True)
class Stretch:
    """A straight or a bend of the run: from where to where along the pipe, the rise of its chord
    (sine of the slope, upward in the direction of travel), and, of a bend, degrees and radius."""

    begins: float
    ends: float
    rise: float
    degrees: float = 0.0
    radius: float = 0.0
    bend: int | None = None


@dataclass(frozen=True, slots=True)
class Pulled:
    """The rope's tension when the cable's head has come to the end of a stretch, and the pressure
    on a bend there (0 on a straight), force and force per length."""

    at: float
    bend: int | None
    tension: float
    side_wall: float


@dataclass(frozen=True, slots=True)
class OneWay:
    """A pull fed in at one end: tension stretch by stretch, the most of both, and whether that is
    within the limits."""

    feed: FeedEnd
    along: tuple[Pulled, ...]
    tension: float
    most_tension: float
    most_side_wall: float
    within: bool


@dataclass(frozen=True, slots=True)
class Pull:
    """Both ways, and the end that it is easier to feed in at."""

    ways: tuple[OneWay, OneWay]
    feed_at: FeedEnd
    tension_limit: float | None
    side_wall_limit: float

    @property
    def easier(self) -> OneWay:
        """The pull from the end that it is easier from."""
        return next(way for way in self.ways if way.feed == self.feed_at)


def stretches(
    pipe: StraightPipe, vertices: Sequence[Vector], up: Vector | None
) -> tuple[Stretch, ...]:
    """The straights and bends of a run, with their slopes.

    Args:
        vertices: its centreline with both ends.
        up: the unit vector against gravity in their frame (None: the run is taken as level).
    """
    corners = [0, *pipe.corners, len(vertices) - 1]
    ways = [
        unit(subtract(vertices[after], vertices[before])) for before, after in pairwise(corners)
    ]

    def rise(way: Vector) -> float:
        return dot(way, up) if up is not None else 0.0

    result: list[Stretch] = []
    place = 0.0
    for index, bend in enumerate(pipe.bends):
        result.append(Stretch(place, bend.arc_start, rise(ways[index])))
        chord = unit(add(ways[index], ways[index + 1]))
        result.append(
            Stretch(bend.arc_start, bend.arc_end, rise(chord), bend.angle, bend.radius, index)
        )
        place = bend.arc_end
    result.append(Stretch(place, pipe.cut_length, rise(ways[-1])))
    return tuple(result)


def reversed_run(run: Sequence[Stretch]) -> tuple[Stretch, ...]:
    """The same stretches met from the other end."""
    whole = run[-1].ends
    return tuple(
        Stretch(
            whole - stretch.ends,
            whole - stretch.begins,
            -stretch.rise,
            stretch.degrees,
            stretch.radius,
            stretch.bend,
        )
        for stretch in reversed(run)
    )


def tension_after(before: float, stretch: Stretch, weight: float, friction: float) -> float:
    """The tension behind a stretch.

    A straight: T + w L (f cos s + sin s); a bend first multiplies by e^(f a), then its length
    counts as a straight along its chord. Where the cable would run by itself the tension is 0.

    Args:
        before: the tension at its beginning.
        weight: force per length in the run's unit of length.
        friction: f.

    Returns:
        A force, as ``before``.

    Source:
        the usual equations of cable pulling; docs/fill.md.
    """
    at_bend = before * ieee.exp(friction * math.radians(stretch.degrees))
    level = math.sqrt(max(1 - ieee.square(stretch.rise), 0.0))
    own = weight * (stretch.ends - stretch.begins) * (friction * level + stretch.rise)
    return max(at_bend + own, 0.0)


def pull_both_ways(
    run: Sequence[Stretch],
    weight: float,
    friction: float,
    tension_limit: float | None,
    side_wall_limit: float,
    per: float = 1.0,
    half_bore: float = 0.0,
) -> Pull:
    """The pull fed in at the start and at the end; the easier end is the one whose tension is less,
    the one with less pressure where they are alike.

    Args:
        run: from its start.
        weight: force a length.
        friction: its coefficient.
        tension_limit: a force (None: none is known).
        side_wall_limit: force a unit of pressure, which is ``per`` lengths.
        per: lengths that a unit of pressure is told by.
        half_bore: a length.
    """

    def fed_in(feed: FeedEnd, stretches: Sequence[Stretch]) -> OneWay:
        along = _along(stretches, weight, friction, per, half_bore)
        most = max(pulled.tension for pulled in along)
        pressed = max(pulled.side_wall for pulled in along)
        light = tension_limit is None or most <= tension_limit
        within = light and pressed <= side_wall_limit
        return OneWay(feed, along, along[-1].tension, most, pressed, within)

    ways = (fed_in("start", run), fed_in("end", reversed_run(run)))
    easier = min(ways, key=lambda way: (round(way.most_tension, 9), way.most_side_wall))
    return Pull(ways, easier.feed, tension_limit, side_wall_limit)


_LEAST = 1e-6
"""Of a radius: a bend whose inside is a point presses without end."""


def _along(
    run: Sequence[Stretch], weight: float, friction: float, per: float, half_bore: float
) -> tuple[Pulled, ...]:
    """Tension and pressure at the end of each stretch, one after the other."""
    tension = 0.0
    result = []
    for stretch in run:
        tension = tension_after(tension, stretch, weight, friction)
        pressure = 0.0
        if stretch.bend is not None:
            pressure = tension / max(stretch.radius - half_bore, _LEAST) * per
        result.append(Pulled(stretch.ends, stretch.bend, tension, pressure))
    return tuple(result)
