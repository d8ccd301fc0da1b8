"""How far each dimension of a piece comes out, by either habit: what a hand scatters, carried
through the fold."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from operator import add, mul
from typing import Literal, NamedTuple

from yarrow.benders.known_to import KnownTo
from yarrow.catalog.limits import limits
from yarrow.geometry.vectors import dot
from yarrow.measure import ieee
from yarrow.measure.units import Unit
from yarrow.runs.expecting.bent_pipe import BentPipe, Moves, WeighedPoint
from yarrow.runs.expecting.mark_rows import MarkRow, MarkRows
from yarrow.runs.marking.as_bent import lines_on
from yarrow.runs.marking.finding_marks import finding_marks, first_end
from yarrow.runs.model.plan import FoundMark
from yarrow.runs.planner import piece_of
from yarrow.runs.stages import BuildablePlan
from yarrow.values import dataclass

NINETEEN_OF_20 = 1.959964
"""Standard deviations of a normal spread within which 19 of 20 lie."""

Number = Literal["mark", "angle", "parallel", "bender", "springback"]
"""What scatters, or is not known."""


@dataclass(frozen=True, slots=True)
class Hand:
    """One standard deviation of a mark (a length), and of an angle and of legs that are bent
    parallel (radians)."""

    mark: float
    angle: float
    parallel: float

    @classmethod
    def of(cls, unit: Unit, known: KnownTo | None) -> Hand:
        """A hand's usual spread, or what was learnt of this bender's angles.

        Args:
            unit: of the lengths.
            known: how well the bender is known.
        """
        usual = limits()
        angle = usual.spread_of_angles.degrees
        if known is not None and known.angles is not None:
            angle = known.angles
        parallel = min(angle, usual.spread_of_parallel.degrees)
        return cls(usual.spread_of_marks.of(unit), math.radians(angle), math.radians(parallel))


class ScatterPart(NamedTuple):
    """What one number makes of a dimension's spread: one standard deviation; ``bend`` is whose mark
    or angle it is, None for the cut and for the bender."""

    by: float
    number: Number
    bend: int | None = None


class Habit:
    """A piece by one of the habits: what its marks hang on, and how each of them scatters.

    Args:
        rows: one a bend in the order of making, and the cut.
        hand: that makes it.
        angles: of the bends, in order along the pipe, degrees.
        known: how well the bender is known.
    """

    def __init__(
        self, rows: Sequence[MarkRow], hand: Hand, angles: Sequence[float], known: KnownTo | None
    ) -> None:
        *made, self._cut = rows
        self._hand, self._known = hand, known
        # Nothing that was made before moves with any other.
        self._hanging = [row for row in reversed(made) if row.hangs]
        bends = sorted(made, key=lambda row: row.bend)
        self._of_marks = [row.spreads * hand.mark for row in bends]
        self._of_angles = [hand.parallel if row.parallel else hand.angle for row in bends]
        self._own_angles = [row.by_own_angle for row in bends]
        self._take_ups = [row.tool_take_up for row in bends]
        self._radii = [row.tool_radius for row in bends]
        at_a_90 = math.radians(known.springback or 0.0) / NINETEEN_OF_20 if known else 0.0
        # Legs that are bent parallel are so whatever springs back.
        self._springbacks = [
            0.0 if row.parallel else at_a_90 * angle / 90
            for row, angle in zip(bends, angles, strict=True)
        ]
        self._parallel = [bool(row.parallel) for row in bends]

    def spread(self, moves: Moves, by_cut: float) -> Spread:
        """How something scatters: from the mark that was made last back to the first, whatever
        moves with a mark moves with all that this was found from.

        Args:
            moves: what it grows by with each bend on the finished pipe.
            by_cut: and with the cut, a ratio.
        """
        places, angles, radius = moves
        onward = [0.0] * len(places)
        if self._hanging or by_cut:
            places, angles = places.copy(), angles.copy()
        if by_cut:
            radius += by_cut * self._cut.radius
            for other, share in self._cut.places:
                places[other] += by_cut * share
            for other, share in self._cut.angles:
                angles[other] += by_cut * share
        for row in self._hanging:
            bend, by_place = row.bend, places[row.bend]
            by_mark = by_place + onward[bend]
            if by_mark:
                radius += by_mark * row.radius
                for other, share in row.places:
                    places[other] += by_mark * share
                for other, share in row.angles:
                    angles[other] += by_mark * share
                for other, share in row.marks:
                    onward[other] += by_mark * share
            if row.parallel:
                by_angle = angles[bend] + by_place * row.by_own_angle
                for other, share in row.parallel:
                    angles[other] += by_angle * share
        marks = map(add, places, onward)
        angles = list(map(add, angles, map(mul, places, self._own_angles)))
        bender = springback = 0.0
        if self._known is not None:
            take_up = math.fsum(map(mul, places, self._take_ups))
            radius += math.fsum(map(mul, places, self._radii))
            bender = self._known.of_sum(take_up, radius) / NINETEEN_OF_20
            springback = math.fsum(map(mul, angles, self._springbacks))
        return Spread(
            list(map(mul, marks, self._of_marks)),
            list(map(mul, angles, self._of_angles)),
            by_cut * self._hand.mark,
            bender,
            springback,
            self._parallel,
        )


class Spread(NamedTuple):
    """How something scatters, in standard deviations (as they come, with their sign): by the mark
    and the angle of each bend, by the cut, and by what is not known of the bender's lengths and of
    its springback. ``parallel``: which bends are made until legs are."""

    marks: list[float]
    angles: list[float]
    cut: float
    bender: float
    springback: float
    parallel: list[bool]

    @property
    def half(self) -> float:
        """Half of the interval that holds 19 of 20 pieces."""
        squares = math.fsum(map(mul, self.marks, self.marks)) + math.fsum(
            map(mul, self.angles, self.angles)
        )
        squares += ieee.square(self.cut) + ieee.square(self.bender) + ieee.square(self.springback)
        return NINETEEN_OF_20 * math.sqrt(squares)

    @property
    def most(self) -> ScatterPart:
        """The number that makes most of it."""
        parts = [ScatterPart(abs(self.cut), "mark"), ScatterPart(abs(self.bender), "bender")]
        parts.append(ScatterPart(abs(self.springback), "springback"))
        for bend, (mark, angle) in enumerate(zip(self.marks, self.angles, strict=True)):
            parts.append(ScatterPart(abs(mark), "mark", bend))
            number: Number = "parallel" if self.parallel[bend] else "angle"
            parts.append(ScatterPart(abs(angle), number, bend))
        return max(parts, key=lambda part: part.by)


class DimensionSpread(NamedTuple):
    """A dimension of a line of the walk, and its spread by either habit."""

    feature: int
    field: str
    flat: Spread
    as_you_go: Spread


class Expecting:
    """What is to be expected of a piece that comes out of its marks.

    Args:
        plan: of the piece, of which a pipe comes out.
    """

    def __init__(self, plan: BuildablePlan) -> None:
        run, placed = plan.resolution.run, plan.placed
        bends, known = placed.pipe.bends, run.bender.known_to
        self._plan, self._vertices = plan, plan.marked.path
        self._bent = BentPipe(self._vertices, bends)
        sequence = tuple(bend.bend for bend in placed.order.bends)
        roles = plan.layout.roles_of(placed.pipe)
        rows = MarkRows(run.bender, placed.pipe, plan.marked.marks, roles, self._bent)
        found = _found_as_you_go(plan, sequence)
        hand, angles = Hand.of(run.unit, known), [bend.angle for bend in bends]
        self._first = found[-1].first
        self._flat = self._as_you_go = Habit(rows.flat(sequence), hand, angles, known)
        # Printed marks are for the straight pipe: there is no other way.
        if run.method != "table":
            self._as_you_go = Habit(rows.as_found(found), hand, angles, known)

    def spreads(self) -> Iterator[DimensionSpread]:
        """Of every dimension of the walk, in the order of the plan's."""
        run, layout = self._plan.resolution.run, self._plan.layout
        fields = iter(self._plan.marked.dimensions)
        lines = lines_on(run, layout, self._vertices)
        for feature, (line, origin, own) in enumerate(lines):
            begins = layout.leg_vertices[line.leg.number]
            for weights in line.line.read_by(line.leg, layout.pipe, origin, own):
                points = [
                    WeighedPoint(line.first_vertex + at, own[at], weight) for at, weight in weights
                ]
                yield self._of(feature, next(fields).field, points, begins)

    def _of(
        self, feature: int, field: str, points: list[WeighedPoint], begins: int
    ) -> DimensionSpread:
        """How a number of a line scatters that is read by some points, from where its leg
        begins."""
        bent, bends = self._bent, len(self._bent.corners)
        last = points[-1]
        x, y, z = points[0].weight
        for _, _, (more_x, more_y, more_z) in points[1:]:
            x, y, z = x + more_x, y + more_y, z + more_z
        if begins:
            points.append(WeighedPoint(begins, self._vertices[begins], (-x, -y, -z)))
        moves = bent.moves(points, max(begins - 1, 0), min(last.vertex, bends) - 1)
        at_end = dot(last.weight, bent.ways[-1]) if last.vertex > bends else 0.0
        at_start = 0.0 if begins else -dot((x, y, z), bent.ways[0])
        flat = self._flat.spread(moves, at_end)
        going = at_end if self._first == "start" else at_start
        return DimensionSpread(feature, field, flat, self._as_you_go.spread(moves, going))


def _found_as_you_go(plan: BuildablePlan, sequence: tuple[int, ...]) -> Sequence[FoundMark]:
    """Where the marks are found by who marks as they go, whichever habit the run has."""
    run, placed, marked = plan.resolution.run, plan.placed, plan.marked
    first = first_end(sequence)
    if run.method == "table" or plan.finding_marks[-1].first == first:
        return plan.finding_marks
    piece = piece_of(run, plan.layout, placed.pipe)
    return finding_marks(
        piece,
        run.lengths,
        marked.marks,
        marked.cut_length,
        sequence,
        first=first,
        by_tape=True,
    )
