"""Where joints can be: the places of the run that are straight, clear of bends and not hidden."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import field
from itertools import pairwise

from yarrow.benders.bender import Bender
from yarrow.catalog.couplings import Coupling
from yarrow.features.leg import Datum
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.straights import StraightPart, straights_of
from yarrow.geometry.vectors import Vector, dot, subtract
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.plan import SiteObject
from yarrow.runs.model.run import Rack, ResolvedRun
from yarrow.values import dataclass, replace

_HAIR = 1e-6

_HIDES = {"hole"}
"""Things that no coupling goes through."""


@dataclass(frozen=True, slots=True)
class RunToPart:
    """A run that can be made, with what it is parted with: the ``coupling`` on its conduit and the
    length of a ``stick``, in the run's unit; ``rack`` is what it is copied into, if anything.
    ``straights`` are those of its pipe."""

    run: ResolvedRun
    layout: Layout
    pipe: StraightPipe
    things: tuple[SiteObject, ...]
    coupling: Coupling
    stick: float
    rack: Rack | None = None
    straights: tuple[StraightPart, ...] = field(init=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "straights", straights_of(self.layout.vertices, self.pipe))

    @property
    def end_fittings(self) -> tuple[str, str]:
        """What the run starts from and ends at."""
        end = self.layout.pipe.end
        return self.run.start.fitting, end.fitting if end else "open"


@dataclass(frozen=True, slots=True)
class TapedLeg:
    """A leg as the tape lies along it: from ``origin`` in the direction ``ahead``, with the
    straights of the pipe that lie along it."""

    number: int
    origin: Vector
    ahead: Vector
    straights: tuple[StraightPart, ...]

    def reads(self, point: Vector) -> float:
        """What the tape reads beside a point.

        Args:
            point: of the pipe, in space.

        Returns:
            In the run's unit.
        """
        return dot(subtract(point, self.origin), self.ahead)

    def place(self, at: float) -> float | None:
        """The place on the straight pipe where the tape reads ``at``; None where there is a bend,
        or none of the leg.

        Args:
            at: from the origin.

        Returns:
            From the pipe's start, in the run's unit.
        """
        result = (straight.level_with(self.origin, self.ahead, at) for straight in self.straights)
        return next((place for place in result if place is not None), None)


def taped_legs(parted: RunToPart, datum: Datum = "back") -> tuple[TapedLeg, ...]:
    """The legs of a run with the tape on them, hooked at a datum of the turn that each begins at.

    Args:
        parted: the run.
        datum: where the tape is hooked.
    """
    layout, pipe = parted.layout, parted.pipe
    corners = [0, *pipe.corners, len(layout.vertices) - 1]
    spans = list(zip(pairwise(corners), parted.straights, strict=True))
    if not layout.lines:
        return tuple(
            TapedLeg(number, layout.vertices[begins], part.ahead, (part,))
            for number, ((begins, _), part) in enumerate(spans)
        )
    result = []
    limits = [*layout.leg_vertices, len(layout.vertices) - 1]
    for number, (first, last) in enumerate(pairwise(limits)):
        leg = next(line.leg for line in layout.lines if line.leg.number == number)
        on_leg = tuple(part for (a, b), part in spans if a < last and b > first)
        result.append(TapedLeg(number, leg.point(leg.datum(datum)), leg.frame.ahead, on_leg))
    return tuple(result)


def on_leg(legs: Sequence[TapedLeg], place: float) -> tuple[TapedLeg, StraightPart]:
    """The leg and the straight that a place of the pipe lies on.

    Args:
        legs: of the run.
        place: from the pipe's start, in the run's unit.
    """
    return next(
        (leg, part)
        for leg in legs
        for part in leg.straights
        if part.begins - _HAIR <= place <= part.ends + _HAIR
    )


def reach_of(bender: Bender) -> float:
    """How much straight a bender holds beside a bend's arc, on whichever side its hook is.

    Args:
        bender: with its numbers for the conduit.

    Returns:
        In the bender's unit.
    """
    return max(bender.arc_behind_front + bender.hook, bender.heel, 0.0)


@dataclass(frozen=True, slots=True)
class JointRoom:
    """Where the middle of a joint may lie: from ``begins`` to ``ends`` on the straight pipe;
    ``in_line``: between two bends of one line, a set's or a saddle's."""

    begins: float
    ends: float
    in_line: bool

    @property
    def middle(self) -> float:
        """Half way."""
        return (self.begins + self.ends) / 2

    def without(self, begins: float, ends: float) -> tuple[JointRoom, ...]:
        """What is left of it beside a stretch of the pipe.

        Args:
            begins, ends: of the stretch, from the pipe's start, in the run's unit.
        """
        if begins >= self.ends or ends <= self.begins:
            return (self,)
        parts = (replace(self, ends=begins), replace(self, begins=ends))
        return tuple(part for part in parts if part.ends > part.begins)


def allowed(parted: RunToPart) -> tuple[JointRoom, ...]:
    """Where the middle of a joint may lie: out of the bender's reach of every bend, so far from the
    ends that a piece is left, and not in a bored hole.

    Args:
        parted: the run, and what it is parted with.
    """
    coupling = parted.coupling
    straights = parted.straights
    lines = parted.layout.features_of(parted.pipe)
    beside_bend = max(reach_of(parted.run.bender), coupling.takes) + coupling.open / 2
    at_end = 2 * coupling.length
    joint_rooms: list[JointRoom] = []
    for number, straight in enumerate(straights):
        begins = straight.begins + (at_end if number == 0 else beside_bend)
        ends = straight.ends - (at_end if number == len(straights) - 1 else beside_bend)
        if ends > begins:
            inner = 0 < number < len(lines) and lines[number - 1] == lines[number]
            joint_rooms.append(JointRoom(begins, ends, inner))
    for _, begins, ends in hidden(parted):
        joint_rooms = [part for room in joint_rooms for part in room.without(begins, ends)]
    return tuple(joint_rooms)


def hidden(parted: RunToPart) -> list[tuple[int | None, float, float]]:
    """The stretches of the pipe where a coupling's middle would put it into a hole, each with the
    hole's line.

    Args:
        parted: the run, and what it is parted with.

    Returns:
        The line's number on the walk (None: it is of none), and both ends of the stretch in the
        run's unit.
    """
    result = []
    for thing in parted.things:
        if thing.kind in _HIDES:
            _, place = min(straight.nearest(thing.at) for straight in parted.straights)
            half = parted.coupling.length / 2 + thing.height
            result.append((thing.feature, place - half, place + half))
    return result
