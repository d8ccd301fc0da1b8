"""A bent piece hung where it was to hang: how far each leg comes to lie off, and where the bends
that are left have to be so that it lies best."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from itertools import pairwise

from yarrow.bench.readings.reading import BentPiece
from yarrow.bend_simulation.order import normalised
from yarrow.geometry.least_squares import ROUNDS, least_squares, least_squares_in
from yarrow.geometry.pipe import PipeBend, StraightPipe, fold_anyhow, straights_beside
from yarrow.geometry.vectors import Vector, along, cross, dot, length, scaled, subtract, unit
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

_SLOPE = 0.03
"""What a leg weighs that nobody measured, the slope of a set. The others weigh 1."""

_PLACE, _TURN = 1e-3, 0.05
"""What it weighs that a bend is elsewhere than it was planned, and that it turns otherwise: these
decide only where nothing else does."""

_SHORT, _TRIMMED = 1.0, 0.1
"""What it weighs that the pipe is short at its start, and that it is cut off there."""

_OVERLAP = 10.0
"""What it weighs that two arcs lie within each other."""

_PLAYS = 1e-6
"""Of the diameter: straights shorter than none by so much are none."""

_MOST_TURNED = math.radians(3.0)
"""How far an angle or a roll that is left may be from its plan, as a last resort. Source: how a
good hand recovers."""

_STEP = 0.5
"""Degrees that a person can bend to."""

_WORK, _WORK_OF_ONE = 36_000, 12_000
"""Bends folded for all readings of a piece, and for one of them, at most."""

_SOLVED = 150
"""Steps of an elimination that take as long as to fold one bend."""


@dataclass(slots=True)
class Work:
    """What may still be worked for one reading, counted in bends that are folded: once that is
    done, the best so far is taken, and ``cut_short`` says so."""

    left: int
    cut_short: bool = False

    @classmethod
    def of_reading(cls, bends: int) -> Work:
        """For a reading of a piece, any of whose bends may be read.

        Args:
            bends: of the piece.
        """
        return cls(min(_WORK_OF_ONE, _WORK // max(bends, 1)))

    def rounds(self, bends: int, unknowns: int) -> int:
        """How often a search may go round: each looks at every slope and solves for a step.

        Args:
            bends: of the piece.
            unknowns: that are looked for.

        Returns:
            So many; 0 where nothing of the work is left.
        """
        return max(self.left, 0) // self._of_round(bends, unknowns)

    def spent(self, rounds: int, bends: int, unknowns: int, most: int) -> None:
        """Counts a search.

        Args:
            rounds: that it took.
            bends: of the piece.
            unknowns: that were looked for.
            most: rounds that it might have taken.
        """
        self.left -= rounds * self._of_round(bends, unknowns)
        self.cut_short = self.cut_short or (rounds >= most and most < ROUNDS)

    @staticmethod
    def _of_round(bends: int, unknowns: int) -> int:
        return (bends + 1) * (unknowns + 1) + unknowns * unknowns * unknowns // _SOLVED


@dataclass(frozen=True, slots=True)
class HungPiece:
    """Where a piece was to hang: its two ends and the vertices that it turns at; which of its legs
    are ``slopes``, counted from 0; and the bends of each line of the walk that has several,
    counted along the pipe."""

    vertices: tuple[Vector, ...]
    slopes: frozenset[int]
    groups: tuple[tuple[int, ...], ...]

    @property
    def legs(self) -> tuple[tuple[Vector, Vector], ...]:
        """From vertex to vertex, one more than there are bends."""
        return tuple(pairwise(self.vertices))

    @property
    def lengths(self) -> tuple[float, ...]:
        """Of the legs."""
        return tuple(math.dist(*leg) for leg in self.legs)


@dataclass(frozen=True, slots=True)
class Refit:
    """A piece as it comes out: ``bent`` with the bends that are left where they have to be, and cut
    at its end where it has to be; and as it hangs, at ``path``, whose ends are those that are cut.
    ``off`` is how far each leg lies from where it was to lie, at the worse of that one's ends;
    ``over_start``, what the pipe is too long at its start, below 0 too short."""

    bent: BentPiece
    path: tuple[Vector, ...]
    off: tuple[float, ...]
    over_start: float

    @property
    def overlap(self) -> float:
        """How much two arcs, or one and an end of the stick, lie within each other; 0 where all lie
        clear."""
        least = min(straights_beside(self.bent.bends, self.bent.cut))
        return -least if least < -_PLAYS * self.bent.diameter else 0.0

    def worst(self, hung: HungPiece) -> float:
        """How far the leg lies off that lies off most, of those that matter.

        Args:
            hung: where it was to hang.

        Returns:
            In the unit of the piece.
        """
        matter = (off for at, off in enumerate(self.off) if at not in hung.slopes)
        return max(matter, default=0.0)

    def pipe(self, planned: StraightPipe) -> StraightPipe:
        """The straight pipe that is bent so.

        Args:
            planned: as it was planned, for what stays.
        """
        rolls = (0.0, *self.bent.rolls)
        bends = tuple(
            replace(bend, roll=normalised(roll - before))
            for bend, (before, roll) in zip(self.bent.bends, pairwise(rolls), strict=True)
        )
        return replace(
            planned,
            cut_length=self.bent.cut,
            straights=straights_beside(self.bent.bends, self.bent.cut),
            bends=bends,
        )


def hung_up(piece: BentPiece, hung: HungPiece, held: int | None) -> Refit:
    """A piece as it is, hung by a leg: that one lies in its line; how far the pipe is turned about
    it and pushed along it is what makes the others lie best.

    Args:
        piece: with all its bends.
        hung: where it was to hang.
        held: the leg, counted from 0; None, the first.
    """
    folded = _folded(piece)
    by = held or 0

    def errors(values: Sequence[float]) -> list[float]:
        path = _hung_by(folded, hung, by, *values)
        return [*_errors(path, hung, piece.diameter), _at_start(path, hung, piece.diameter)]

    values = [0.0, 0.0]
    if math.hypot(*errors(values)[:-1]) > _PLAYS:
        values = least_squares(errors, values)
    return _as_hung(piece, hung, _hung_by(folded, hung, by, *values))


def with_places_found(
    piece: BentPiece, hung: HungPiece, left: Sequence[int], held: int | None, work: Work
) -> Refit:
    """The same with the bends that are left moved along the pipe so that the legs come as near as
    they can all be; their angles and rolls stay.

    Args:
        piece: with all its bends, from where those that are left are moved.
        hung: where it was to hang.
        left: the bends that are still to be made, along the pipe from 0.
        held: as of hung_up.
        work: that it may take.
    """

    def moved(places: Sequence[float]) -> BentPiece:
        return _with_moves(piece, left, [(place, 0.0, 0.0) for place in places])

    hanging, places = _searched(moved, [_PLACE] * len(left), piece, hung, held, work)
    tried = moved(places)
    return _as_hung(tried, hung, _hung_by(_folded(tried), hung, held or 0, *hanging))


def with_angles_found(
    piece: BentPiece, hung: HungPiece, left: Sequence[int], held: int | None, work: Work
) -> Refit:
    """The same with angles and rolls of the bends that are left too, within 3 degrees and in steps
    of half a degree: the last resort.

    Args:
        piece, hung, left, held, work: as of with_places_found, lengths in one unit.
    """

    def moved(moves: Sequence[float]) -> BentPiece:
        triples = [
            (place, _within(angle), _within(roll))
            for place, angle, roll in zip(*[iter(moves)] * 3, strict=True)
        ]
        return _with_moves(piece, left, triples)

    _, moves = _searched(moved, [_PLACE, _TURN, _TURN] * len(left), piece, hung, held, work)
    stepped = [
        (place, _in_steps(angle), _in_steps(roll))
        for place, angle, roll in zip(*[iter(moves)] * 3, strict=True)
    ]
    return with_places_found(_with_moves(piece, left, stepped), hung, left, held, work)


def _searched(
    moved: Callable[[Sequence[float]], BentPiece],
    weights: Sequence[float],
    piece: BentPiece,
    hung: HungPiece,
    held: int | None,
    work: Work,
) -> tuple[list[float], list[float]]:
    """How a piece is turned about the leg that is held and pushed along it, and the moves of its
    bends, so that its legs lie best.

    Args: moved, the piece by its moves; weights, of each of these that it is none.
    """

    def errors(values: Sequence[float]) -> list[float]:
        turn, along_leg, *moves = values
        tried = moved(moves)
        path = _hung_by(_folded(tried), hung, held or 0, turn, along_leg)
        kept = (weight * move for weight, move in zip(weights, moves, strict=True))
        start = _at_start(path, hung, piece.diameter)
        return [*_errors(path, hung, piece.diameter), start, _overlap(tried), *kept]

    bends, unknowns = len(piece.bends), 2 + len(weights)
    most = work.rounds(bends, unknowns)
    values, taken = least_squares_in(errors, [0.0] * unknowns, most)
    work.spent(taken, bends, unknowns, most)
    return values[:2], values[2:]


def _within(turn: float) -> float:
    """An angle that grows with another and never is beyond what may be given."""
    return _MOST_TURNED * math.tanh(turn / _MOST_TURNED)


def _in_steps(turn: float) -> float:
    """Radians in whole steps of degrees that a person can set."""
    return math.radians(round(math.degrees(_within(turn)) / _STEP) * _STEP)


def _with_moves(
    piece: BentPiece, left: Sequence[int], moves: Sequence[tuple[float, float, float]]
) -> BentPiece:
    """A piece with bends moved. Args: moves, of each that is left: its place in diameters, its
    angle and its roll in radians."""
    bends, rolls = list(piece.bends), list(piece.rolls)
    for at, (place, angle, roll) in zip(left, moves, strict=True):
        bends[at] = replace(
            bends[at],
            arc_start=bends[at].arc_start + place * piece.diameter,
            angle=bends[at].angle + math.degrees(angle),
        )
        rolls[at] += math.degrees(roll)
    return replace(piece, bends=tuple(bends), rolls=tuple(rolls))


def _overlap(piece: BentPiece) -> float:
    inner = straights_beside(piece.bends, piece.cut)[:-1]
    return _OVERLAP * math.fsum(max(-depth, 0.0) for depth in inner) / piece.diameter


def _folded(piece: BentPiece) -> tuple[Vector, ...]:
    rolls = (0.0, *piece.rolls)
    bends = [
        PipeBend(bend.arc_start, bend.angle, roll - before, bend.radius)
        for bend, (before, roll) in zip(piece.bends, pairwise(rolls), strict=True)
    ]
    return fold_anyhow(bends, piece.cut).vertices


def _hung_by(
    folded: Sequence[Vector], hung: HungPiece, by: int, turn: float, along_leg: float
) -> tuple[Vector, ...]:
    """A folded pipe with one of its legs in that one's line, where it was to hang.

    Args: turn, radians about that leg; along_leg, how far it is pushed on from where a bend at that
    leg's end lies at its own vertex.
    """
    there = _frame(hung.vertices, by)
    here = _frame(folded, by)
    end = 1 if by == 0 else 0
    sine, cosine = ieee.sin(turn), ieee.cos(turn)
    _, second, third = there
    axes = (
        there[0],
        along(scaled(second, cosine), third, sine),
        along(scaled(third, cosine), second, -sine),
    )
    origin = along(hung.vertices[by + end], there[0], along_leg)
    from_here = folded[by + end]
    result = []
    for vertex in folded:
        off = subtract(vertex, from_here)
        place = origin
        for axis, own in zip(axes, here, strict=True):
            place = along(place, axis, dot(off, own))
        result.append(place)
    return tuple(result)


def _frame(vertices: Sequence[Vector], by: int) -> tuple[Vector, Vector, Vector]:
    """Three directions square to each other: along a leg, toward the leg beside it, and aside."""
    ahead = unit(subtract(vertices[by + 1], vertices[by]))
    others = (by + 1, by - 1) if by + 2 < len(vertices) else (by - 1, by + 1)
    for other in others:
        if 0 <= other < len(vertices) - 1:
            beside = subtract(vertices[other + 1], vertices[other])
            aside = along(beside, ahead, -dot(beside, ahead))
            if length(aside) > _PLAYS * length(beside):
                second = unit(aside)
                return ahead, second, cross(ahead, second)
    some = (0.0, 0.0, 1.0) if abs(ahead[2]) < 0.9 else (1.0, 0.0, 0.0)
    second = unit(along(some, ahead, -dot(some, ahead)))
    return ahead, second, cross(ahead, second)


def _errors(path: Sequence[Vector], hung: HungPiece, diameter: float) -> list[float]:
    """By how much legs lie off, in diameters: every end of a leg that was planned from the line of
    the leg that is there. One that leads back is off by its length."""
    result = []
    for at, (leg, now) in enumerate(zip(hung.legs, pairwise(path), strict=True)):
        weight = (_SLOPE if at in hung.slopes else 1.0) / diameter
        way = _direction(now)
        for point in leg:
            result += [weight * part for part in _aside(point, now[0], way)]
        leads = dot(way, subtract(leg[1], leg[0]))
        result.append(weight * max(-leads, 0.0))
    return result


def _at_start(path: Sequence[Vector], hung: HungPiece, diameter: float) -> float:
    over = _over_start(path, hung) / diameter
    return (_TRIMMED if over > 0 else _SHORT) * over


def _over_start(path: Sequence[Vector], hung: HungPiece) -> float:
    """What a placed pipe is too long at its start."""
    return dot(subtract(hung.vertices[0], path[0]), _direction(hung.legs[0]))


def _as_hung(piece: BentPiece, hung: HungPiece, path: Sequence[Vector]) -> Refit:
    """A placed piece, cut where its ends were to be."""
    off = []
    for leg, now in zip(hung.legs, pairwise(path), strict=True):
        way, planned = _direction(now), subtract(leg[1], leg[0])
        aside = max(length(_aside(point, now[0], way)) for point in leg)
        off.append(aside if dot(way, planned) > 0 else length(planned))
    before = _over_start(path, hung)
    over = dot(subtract(path[-1], hung.vertices[-1]), _direction(hung.legs[-1]))
    ends = (
        along(path[0], _direction(path[:2]), before),
        along(path[-1], _direction(path[-2:]), -over),
    )
    return Refit(
        replace(piece, cut=piece.cut - over),
        (ends[0], *path[1:-1], ends[1]),
        tuple(off),
        before,
    )


def _direction(leg: Sequence[Vector]) -> Vector:
    return unit(subtract(leg[1], leg[0]))


def _aside(point: Vector, begins: Vector, way: Vector) -> Vector:
    """From a leg's line, drawn on, to a point. Args: begins, the leg, and its way, of length 1."""
    off = subtract(point, begins)
    return along(off, way, -dot(off, way))
