"""What each mark hangs on: the bends that the tape was hooked on when it was found."""

from __future__ import annotations

import math
from collections.abc import Collection, Sequence
from functools import cached_property
from typing import NamedTuple

from yarrow.benders.bender import Bender, Reference
from yarrow.benders.kinds import Marking
from yarrow.geometry.pipe import StraightPipe, fold_anyhow
from yarrow.measure import ieee
from yarrow.role import Role, closes_pair
from yarrow.runs.expecting.bent_pipe import BentPipe
from yarrow.runs.marking.gauging import is_bent_parallel
from yarrow.runs.model.plan import FoundMark, Mark
from yarrow.values import replace

_HAIR = 1e-4
"""Of the diameter: by how much a bender's number is moved to see what it moves."""

_CUT = -1

Share = tuple[int, float]
"""A bend, and by how much something moves with it."""


class MarkRow(NamedTuple):
    """A mark in the order of making; ``bend`` is −1 for the cut.

    The arc begins where the mark is, and further with its own angle (``by_own_angle``, a length for
    a radian), with what take-up and radius are more than was thought (``tool_take_up``,
    ``tool_radius``). The mark itself moves with the places, the angles and the marks of bends that
    were made before, and with the radius; a hand puts it there to so many of its spreads
    (``spreads``). A bend that is made until legs are parallel is the sum of other bends' angles
    (``parallel``); where there are none it is made to an angle.
    """

    bend: int
    by_own_angle: float = 0.0
    tool_take_up: float = 0.0
    tool_radius: float = 0.0
    places: tuple[Share, ...] = ()
    angles: tuple[Share, ...] = ()
    marks: tuple[Share, ...] = ()
    radius: float = 0.0
    spreads: float = 1.0
    parallel: tuple[Share, ...] = ()

    @property
    def hangs(self) -> bool:
        """Whether anything that was made before moves with it."""
        return bool(self.places or self.marks or self.parallel)


class _WayOfTape(NamedTuple):
    """What the way that a tape shows grows by: with the place and the angle of each of the bends
    that it lies over, and with the radius."""

    bends: list[tuple[int, float, float]]
    radius: float


class MarkRows:
    """The rows of a piece, by either habit.

    Args:
        bender: that it is bent on.
        pipe: before any bend.
        marks: one a bend, in order along the pipe.
        roles: the part that each bend has in its line.
        bent: the same pipe with all of its bends.
    """

    def __init__(
        self,
        bender: Bender,
        pipe: StraightPipe,
        marks: Sequence[Mark],
        roles: Sequence[Role],
        bent: BentPipe,
    ) -> None:
        self.bender, self.pipe, self.marks = bender, pipe, marks
        self.roles, self.bent = roles, bent

    def flat(self, sequence: Sequence[int]) -> tuple[MarkRow, ...]:
        """Every mark on the straight pipe, and the cut: none hangs on another.

        Args:
            sequence: the bends as they are made.
        """
        made: set[int] = set()
        rows = []
        for bend in sequence:
            rows.append(self._with_angle(self._own[bend], made, "flat"))
            made.add(bend)
        return (*rows, MarkRow(_CUT))

    def as_found(self, found: Sequence[FoundMark]) -> tuple[MarkRow, ...]:
        """Every mark and the cut as they are found on the piece as it is by then.

        Args:
            found: rows of a plan, in the order of making.
        """
        made: set[int] = set()
        rows = []
        for row in found:
            if row.bend is None:
                rows.append(self._found(row, MarkRow(_CUT), made))
            else:
                own = self._with_angle(self._own[row.bend], made, "as-you-go")
                rows.append(self._found(row, own, made))
                made.add(row.bend)
        return tuple(rows)

    def _with_angle(self, own: MarkRow, made: Collection[int], marking: Marking) -> MarkRow:
        """With the angles that its own comes to, where its leg is bent parallel to the one beyond
        its partner."""
        bend, roles = own.bend, self.roles
        partner = roles[bend].partner
        if not partner or self.bender.traits.warms:
            return own
        second = closes_pair(roles, bend, made)
        if not is_bent_parallel(self.pipe.bends[bend].angle, marking, second=second):
            return own
        other = bend + partner
        if abs(partner) == 1:
            return own._replace(parallel=((other, 1.0),))
        return own._replace(parallel=((other, -1.0), ((bend + other) // 2, 1.0)))

    @cached_property
    def _own(self) -> list[MarkRow]:
        """What an arc's place has of its own mark."""
        rows = []
        for bend, (mark, arc) in enumerate(zip(self.marks, self.pipe.bends, strict=True)):
            take_up, radius = self._behind[mark.reference]
            if mark.hook == "start":
                rows.append(MarkRow(bend, 0.0, -take_up, -radius))
            else:
                # The arc ends by its mark, and begins before that by all of its length.
                begins = radius - math.radians(arc.angle)
                rows.append(MarkRow(bend, -arc.radius, take_up, begins))
        return rows

    @cached_property
    def _behind(self) -> dict[Reference, tuple[float, float]]:
        """How much further from an arc's end each of the bender's references lies, with more of
        take-up and of radius."""
        bender = self.bender
        hair = _HAIR * bender.diameter
        longer = replace(bender, take_up=bender.take_up + hair)
        wider = replace(bender, radius=bender.radius + hair)
        result = {}
        for reference in {mark.reference for mark in self.marks}:
            here, by_take_up, by_radius = (
                one.mark_position(0.0, 0.0, "start", reference) for one in (bender, longer, wider)
            )
            result[reference] = ((by_take_up - here) / hair, (by_radius - here) / hair)
        return result

    def _found(self, row: FoundMark, own: MarkRow, made: Collection[int]) -> MarkRow:
        if row.flat:
            return own
        if row.on == "height":
            return self._by_height(row, own)
        if row.on == "centre":
            assert row.of is not None
            return own._replace(marks=((row.of, 1.0),))
        if row.parallel_to is None:
            return own
        return self._by_tape(row, own, made)

    def _by_height(self, row: FoundMark, own: MarkRow) -> MarkRow:
        """Where the leaned leg stands H over the leg beyond a bend, the straight before the mark is
        m = (H − r (1 − cos θ)) / sin θ: it is r + m cos θ / sin θ less for a radian more, and
        (1 − cos θ) / sin θ less for a length of radius more."""
        assert row.of is not None
        assert row.bend is not None
        first, position = self.pipe.bends[row.of], self.marks[row.bend].position
        theta = math.radians(first.angle)
        sine, cosine = ieee.sin(theta), ieee.cos(theta)
        further, less = row.of < row.bend, (1 - cosine) / sine
        if further:
            by_angle = (first.arc_end - position) * cosine / sine
        else:
            by_angle = (first.arc_start - position) * cosine / sine + first.radius
        return own._replace(
            places=((row.of, 1.0),),
            angles=((row.of, by_angle),),
            radius=theta - less if further else less,
            spreads=1 / sine,
        )

    def _by_tape(self, row: FoundMark, own: MarkRow, made: Collection[int]) -> MarkRow:
        """Along the leg from the arc that it begins at, by what the tape shows from its hook to
        that arc's vertex, less the tangent."""
        bends, leg = self.pipe.bends, row.parallel_to
        assert leg is not None
        number = self._among_bends(row)
        from_end = leg != number
        step = 1 if from_end else -1
        last = number + step
        while last not in made:
            last += step
        arc = bends[last]
        half = math.radians(arc.angle) / 2
        by_tangent = arc.radius / (2 * ieee.square(ieee.cos(half)))
        # With what the tape reads given, a longer way to the arc's vertex leaves less behind it.
        sign = -1.0 if from_end else 1.0
        angles = {last: by_tangent if from_end else arc.radius - by_tangent}
        radius = ieee.tan(half) if from_end else 2 * half - ieee.tan(half)
        places = {last: 1.0}
        if row.of is not None:
            lean = ieee.cos(math.radians(bends[row.of].angle) / 2)
            back = self.bender.diameter / 4 / (lean * lean)
            angles[row.of] = angles.get(row.of, 0.0) - sign * back
        if row.over:
            way = self._along_tape(row.of, last, made, from_end=from_end)
            radius -= sign * way.radius
            for bend, by_place, by_angle in way.bends:
                places[bend] = places.get(bend, 0.0) - sign * by_place
                angles[bend] = angles.get(bend, 0.0) - sign * by_angle
        return own._replace(
            places=tuple(places.items()), angles=tuple(angles.items()), radius=radius
        )

    def _along_tape(
        self, of: int | None, last: int, made: Collection[int], *, from_end: bool
    ) -> _WayOfTape:
        """From where it is hooked, over the bends between, to the vertex of the last before the
        leg."""
        bent, numbers = self._with(made, of, last, from_end=from_end)
        if of is None:
            hooked = len(bent.vertices) - 1 if from_end else 0
        else:
            hooked = numbers.index(of) + 1
        at_leg = numbers.index(last)
        moves = bent.along_tape(hooked, at_leg, from_end=from_end)
        low, high = sorted((at_leg, min(max(hooked - 1, 0), len(numbers) - 1)))
        between = range(low, high + 1)
        return _WayOfTape(
            [(numbers[at], moves.places[at], moves.angles[at]) for at in between], moves.radius
        )

    def _among_bends(self, row: FoundMark) -> int:
        """Where a mark stands among the bends: the cut, before the first or after the last."""
        if row.bend is not None:
            return row.bend
        return len(self.marks) if row.first == "start" else -1

    def _with(
        self, made: Collection[int], of: int | None, last: int, *, from_end: bool
    ) -> tuple[BentPipe, Sequence[int]]:
        """The piece with what was made, as far as the tape lies over it, and the numbers of its
        bends."""
        every = range(len(self.marks))
        ends = len(every) - 1 if from_end else 0
        low, high = sorted((last, ends if of is None else of))
        if all(bend in made for bend in range(low, high + 1)):
            return self.bent, every
        numbers = sorted(made)
        bends = self.pipe.only(numbers)
        folded = fold_anyhow(bends, self.pipe.cut_length)
        return BentPipe(folded.vertices, bends), numbers
