"""Candidates: one way to answer what is there, laid out where it would lie, with its price."""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import cache
from typing import NamedTuple

from yarrow.benders.bender import Bender
from yarrow.catalog.limits import limits
from yarrow.catalog.tables import usual_angles
from yarrow.features.feature import Feature, lay
from yarrow.features.leg import Laid, Leg, Pipe
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import StraightPipe, develop
from yarrow.geometry.vectors import Vector, dot, subtract
from yarrow.measure import ieee
from yarrow.measure.units import Unit, convert_length
from yarrow.obstacles.obstacle import Obstacle
from yarrow.obstacles.outline import Air, least_air
from yarrow.obstacles.setting import Section, Setting
from yarrow.values import dataclass

_FAR = 50.0
"""Radii of straight pipe on both sides of what is tried: more than any shoe asks for."""

_HAIR = 1e-6


@dataclass(frozen=True, slots=True, eq=False)
class Candidate:
    """A candidate as far as geometry knows it: its line, and the leg after it. Lengths in the
    document's unit.

    ``own_room`` is the least straight between its own arcs (below zero: they overlap);
    ``too_shallow``, by how much a hole would have to be deeper for its arc to end before the face;
    ``shoe_short``, what the shoe lacks between them; ``reached``, where what comes before it has
    ended; ``after``, what is left of the leg behind it; ``needs``, the straight that the shoe takes
    on both sides. Two of them are the same where they are one object.
    """

    id: str
    kind: str
    angle: float
    together: bool
    line: Feature
    after_line: Leg
    bends: int
    degrees: float
    first_arc: float
    last_arc: float
    own_room: float
    too_shallow: float
    shoe_short: float
    reached: float
    after: float | None
    needs: float
    pipe: float
    air: Air | None
    lift: float
    usual: bool
    too_long: float

    @property
    def before(self) -> float:
        """What is left of the leg before its first arc."""
        return self.first_arc - self.reached

    @property
    def fits(self) -> bool:
        """Whether this bender can make it here, and nothing is touched."""
        return (
            self.own_room >= -_HAIR
            and self.shoe_short <= _HAIR
            and self.before >= self.needs - _HAIR
            and (self.after is None or self.after >= self.needs - _HAIR)
            and (self.air is None or self.air.least >= -_HAIR)
            and self.too_long <= _HAIR
            and self.too_shallow <= _HAIR
        )

    @property
    def lacks(self) -> float:
        """By how much it does not fit, over everything that is in its way."""
        wanting = [self.shoe_short, -min(self.own_room, 0.0), self.needs - self.before]
        if self.after is not None:
            wanting.append(self.needs - self.after)
        if self.air is not None:
            wanting.append(-self.air.least)
        return math.fsum(max(amount, 0.0) for amount in [*wanting, self.too_long, self.too_shallow])

    @property
    def room(self) -> float:
        """Along the leg from its first arc to its last."""
        return self.last_arc - self.first_arc

    @property
    def pull(self) -> float:
        """e^(μ θ): what it multiplies the force of a pull by.

        Source:
            catalog/limits.toml.
        """
        return ieee.exp(limits().pulling.friction * math.radians(self.degrees))


@dataclass(frozen=True, slots=True)
class Placement:
    """Where something is tried: its leg, what is taken of it already, and with which bender."""

    setting: Setting
    reached: float
    bender: Bender
    unit: Unit


def answers(
    obstacle: Obstacle, place: Placement, extra: tuple[tuple[str, float], ...]
) -> list[Candidate]:
    """Every kind of bends, at every usual angle and the extra ones, that could answer it.

    Args:
        extra: kinds and angles in degrees besides.
    """
    setting = place.setting
    sections = _sections(obstacle, setting)
    wanted = [
        (kind, angle) for kind in obstacle.kinds(setting) for angle in usual_angles(kind).angles
    ]
    candidates = []
    for kind, angle in dict.fromkeys((*wanted, *extra)):
        line = obstacle.answer(kind, angle, setting)
        if line is not None:
            usual = angle == usual_angle(kind, obstacle.size(), place.unit)
            lift = obstacle.lift(kind, angle, setting)
            candidates.append(tried(kind, angle, line, place, sections, usual=usual, lift=lift))
    return candidates


def _sections(obstacle: Obstacle, setting: Setting) -> list[Section]:
    section = obstacle.section(setting)
    return [section] if section else []


def usual_angle(kind: str, size: float, unit: Unit) -> float:
    """The habit of the trade for a move of that size.

    Args:
        kind: of bends.
        size: how far the pipe has to move, in a unit.

    Returns:
        Degrees.

    Source:
        catalog/usual-angles.toml.
    """
    millimetres = convert_length(size, unit, "mm")
    rows = usual_angles(kind).usual
    return next((angle for up_to, angle in rows if millimetres <= up_to), rows[-1][1])


def tried(
    kind: str,
    angle: float,
    line: Feature,
    place: Placement,
    sections: Sequence[Section],
    *,
    usual: bool,
    together: bool = False,
    lift: float = 0.0,
) -> Candidate:
    """A line of bends, tried where it would lie.

    Args:
        kind: of the bends.
        angle: of the bends, in degrees.
        sections: what it must not touch, all of it.
        usual: whether it is the habit for this size.
        together: whether it takes the next thing too.
        lift: by how much it goes higher than its top.
    """
    leg, pipe = place.setting.leg, place.setting.pipe
    laid = lay(line, leg, pipe)
    name = f"{kind} {angle:g}{' both' if together else ''}" if laid.corners else kind
    bent = _bent(laid, place) if laid.corners else None
    room = _room_of(laid, place, bent)
    air = None
    if sections and bent and room.own >= -_HAIR:
        airs = [_air(bent, leg, pipe, section) for section in sections]
        air = min(airs, key=lambda air: air.least)
    return Candidate(
        id=name,
        kind=kind,
        angle=angle,
        together=together,
        line=line,
        after_line=laid.after,
        bends=room.bends,
        degrees=room.degrees,
        first_arc=room.first,
        last_arc=room.last,
        own_room=room.own,
        too_shallow=laid.too_shallow,
        shoe_short=max(_least_between(place.bender) - room.own, 0.0) if room.bends > 1 else 0.0,
        reached=place.reached,
        after=room.after,
        needs=room.needs,
        pipe=room.pipe,
        air=air,
        lift=lift,
        usual=usual,
        too_long=0.0,
    )


class _RoomOfBends(NamedTuple):
    """What a line's bends take of their leg: the arcs' ``first`` and ``last`` places, their
    ``own`` room between each other, what is left ``after`` them and what the bender ``needs``."""

    bends: int
    degrees: float
    first: float
    last: float
    own: float
    after: float | None
    needs: float
    pipe: float


def _room_of(laid: Laid, place: Placement, bent: _Bent | None) -> _RoomOfBends:
    if bent is None:
        return _RoomOfBends(0, 0.0, laid.begins, laid.ends, 0.0, None, -math.inf, 0.0)
    leg, radius = place.setting.leg, place.setting.pipe.radius
    around, straights = bent.pipe.bends, bent.pipe.straights
    first = laid.begins - tangent_length(radius, around[0].angle)
    # A single bend leans over: of its last tangent the leg has what lies along it.
    lean = 1.0 if len(around) > 1 else ieee.cos(math.radians(around[0].angle))
    last = laid.ends + tangent_length(radius, around[-1].angle) * lean
    following, turns = place.setting.following, laid.after.number != leg.number
    return _RoomOfBends(
        bends=len(around),
        degrees=math.fsum(bend.angle for bend in around),
        first=first,
        last=last,
        own=min(straights[1:-1], default=math.inf),
        after=None if following is None or turns else following.arc_begins - last,
        needs=place.bender.heel,
        pipe=bent.pipe.cut_length - bent.straight_on,
    )


def _least_between(bender: Bender) -> float:
    """The straight between two bends of a line that has free pipe on both sides: the bender goes on
    with its heel toward the bend that is made, or with its hook, whichever takes less."""
    return max(min(bender.heel, bender.arc_behind_front + bender.hook), 0.0)


@dataclass(frozen=True, slots=True)
class _Bent:
    """A line's own bends with long straights around them."""

    vertices: tuple[Vector, ...]
    pipe: StraightPipe
    straight_on: float


def _bent(laid: Laid, place: Placement) -> _Bent | None:
    leg, pipe, following = place.setting.leg, place.setting.pipe, place.setting.following
    far = _FAR * pipe.radius
    turns = laid.after.number != leg.number
    ends = laid.ends + far
    if len(laid.corners) == 1 and not turns and following:
        # One bend leans the pipe over until the leg ends, so its angle is told by where that is.
        ends = following.vertex
    vertices = (
        leg.point(laid.begins - far),
        *(corner.point for corner in laid.corners),
        laid.after.point(far if turns else ends),
    )
    try:
        developed = develop(vertices, pipe.radius)
    except GeometryError:
        return None
    if not developed.bends:
        return None
    return _Bent(vertices, developed, 2 * far if turns else ends - laid.begins + far)


def _air(bent: _Bent, leg: Leg, pipe: Pipe, section: Section) -> Air:
    """The air to what must not be touched."""
    toward = leg.frame.toward(section.toward)
    points = []
    for vertex in bent.vertices:
        off = subtract(vertex, leg.origin)
        points.append((dot(off, leg.frame.ahead), dot(off, toward)))
    return least_air(points, pipe.radius, pipe.diameter, section.outline)


@cache
def picked(text: str) -> tuple[str, float, bool] | None:
    """``saddle3 45``, ``saddle4 30 both`` as kind, angle and whether both are taken in one.

    Args:
        text: as a document has it.

    Returns:
        The angle in degrees; None where it says nothing of that kind.
    """
    words = text.split()
    if words == ["straight"]:
        return "straight", 0.0, False
    both = words[-1:] == ["both"]
    kind, *rest = words[: len(words) - both] or [""]
    try:
        (angle,) = (float(word) for word in rest)
    except ValueError:
        return None
    return (kind, angle, both) if 1 <= angle <= 120 else None
