"""What the bends that are still to be made have to be, so that a piece some bends of which came out
different still fits where it was to hang."""

from __future__ import annotations

import math
from collections.abc import Collection, Iterator, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import cycle, pairwise

from yarrow.bench.readings.reading import BentPiece
from yarrow.bend_simulation.order import normalised
from yarrow.geometry.least_squares import least_squares
from yarrow.geometry.pipe import Folded, PipeBend, StraightPipe, fold_anyhow, straights_beside
from yarrow.geometry.vectors import Vector, along, cross, dot, length, subtract, turned, unit

_HELD, _SLOPE = 1000.0, 0.03
"""What a leg weighs that somebody wants to hold, and one that nobody measured: the slope of a set.
The others weigh 1."""

_SHORT, _TRIMMED = 100.0, 0.1
"""What it weighs that the pipe is short at its start, and that it is cut off there."""

_PLACE, _TURN = 1e-3, 0.05
"""What it weighs that a bend is elsewhere than it was planned, and that it turns otherwise: these
decide only where nothing else does."""

_FOLDED_BACK = 175.0
"""Degrees that no bender goes to."""

_FAR = 20.0
"""Degrees of twist from which what is left does not find its way by small steps."""

_TELLS = 0.4
"""Degrees that a level on site does not tell."""

_PLAYS = 1e-6
"""Of the diameter: straights shorter than none by so much are none."""


@dataclass(frozen=True, slots=True)
class HungPiece:
    """Where a piece was to hang: its two ends and the vertices that it turns at, the side that its
    first bend turns to, and which of its legs are ``slopes``, counted from 0."""

    vertices: tuple[Vector, ...]
    first_toward: Vector
    slopes: frozenset[int]

    @property
    def legs(self) -> tuple[tuple[Vector, Vector], ...]:
        """From vertex to vertex, one more than there are bends."""
        return tuple(pairwise(self.vertices))

    @property
    def ahead(self) -> Vector:
        """The direction that it starts in."""
        return unit(subtract(self.vertices[1], self.vertices[0]))


@dataclass(frozen=True, slots=True)
class Refit:
    """A piece as it comes out: ``bent`` with the bends that are left moved so that it fits, and cut
    at its end where it has to be; and as it hangs by its first leg, at ``path``. ``off`` is how far
    each leg lies from where it was to lie, at the worse of that one's ends; ``over_start``, what
    the pipe is too long at its start, below 0 too short."""

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


@lru_cache(maxsize=200)
def refit(
    piece: BentPiece,
    planned: BentPiece,
    hung: HungPiece,
    made: tuple[int, ...],
    held: int | None = None,
) -> Refit:
    """The bends that are left, so that the legs come as near as they can all be to where they were
    to be; the one that is held before the others.

    The place, the angle and the roll of every bend that is left, how far the pipe is turned about
    its first leg and what is cut off at its start are what least squares may choose. Where several
    serve, what is nearest to the plan is taken. It is remembered: at the next reading the bends
    that were made before it are as they were.

    Args:
        piece: its made bends as they were read, the others as they were planned.
        planned: all as they were planned.
        hung: where it was to hang.
        made: which of its bends are made, along the pipe from 0.
        held: the leg that is to hold, counted from 0 (None: no one more than another).
    Source:
        docs/geometry.md, at the bench.
    """
    left = [at for at in range(len(piece.bends)) if at not in made]
    weights = [
        (_HELD if at == held else _SLOPE if at in hung.slopes else 1.0) / piece.diameter
        for at in range(len(hung.legs))
    ]

    def errors(values: Sequence[float]) -> list[float] | None:
        tried = _moved(piece, left, values)
        if any(not 0.0 < bend.angle < _FOLDED_BACK for bend in tried.bends):
            return None
        path = _hang(tried, hung, values).vertices
        found = []
        for leg, now, weight in zip(hung.legs, pairwise(path), weights, strict=True):
            way = unit(subtract(now[1], now[0]))
            for point in leg:
                found += [weight * part for part in _aside(point, now[0], way)]
        turn, cut_off, *moved = values
        found += (_PLACE * turn, (_TRIMMED if cut_off > 0 else _SHORT) * cut_off)
        kept = cycle((_PLACE, _TURN, _TURN))
        return [*found, *(weight * value for weight, value in zip(kept, moved, strict=False))]

    begins = _begins(piece, planned, made, left)
    found = [least_squares(errors, begin) for begin in begins]
    best = min(found, key=lambda each: math.hypot(*(errors(each) or ())))
    values = _that_can_be_set(best)
    if errors(values) is None:
        # A bend that all but vanishes would be none in whole tenths.
        values = best
    free = [0, 1, *range(2, len(values), 3)]

    def errors_of_places(some: Sequence[float]) -> list[float] | None:
        return errors(_put(values, free, some))

    values = _put(values, free, least_squares(errors_of_places, [values[at] for at in free]))
    tried = _moved(piece, left, values)
    path = _hang(tried, hung, values).vertices
    off = tuple(
        max(length(_aside(point, now[0], unit(subtract(now[1], now[0])))) for point in leg)
        for leg, now in zip(hung.legs, pairwise(path), strict=True)
    )
    last = hung.legs[-1]
    over = dot(subtract(path[-1], last[1]), unit(subtract(last[1], last[0])))
    cut = replace(tried, cut=tried.cut - over)
    return Refit(cut, path, off, values[1] * piece.diameter)


def _begins(
    piece: BentPiece, planned: BentPiece, made: Collection[int], left: Sequence[int]
) -> Iterator[list[float]]:
    """Values to begin with: all as planned; and all turned along with a bend that was made the
    wrong way round, which is the same piece."""
    yield [0.0] * (2 + 3 * len(left))
    twists = {round(piece.rolls[at] - planned.rolls[at], 3) for at in made}
    for twist in twists:
        if abs(twist) > _FAR:
            turn = math.radians(twist)
            yield [-turn, 0.0, *(0.0, 0.0, turn) * len(left)]


def _that_can_be_set(values: Sequence[float]) -> list[float]:
    """Angles and rolls that a person can bend to: as planned, where they are hardly otherwise, else
    to a tenth of a degree. Args: values, as of _moved."""
    found = list(values)
    for at in range(2, len(found), 3):
        for turn in (at + 1, at + 2):
            by = math.degrees(found[turn])
            found[turn] = math.radians(round(by, 1)) if abs(by) > _TELLS else 0.0
    return found


def _put(values: Sequence[float], places: Sequence[int], some: Sequence[float]) -> list[float]:
    found = list(values)
    for at, value in zip(places, some, strict=True):
        found[at] = value
    return found


def _moved(piece: BentPiece, left: Sequence[int], values: Sequence[float]) -> BentPiece:
    """The bends that are left, moved. Args: values, the turn about the first leg and what is cut
    off; then for each bend its place, its angle and its roll; in diameters and in radians."""
    bends, rolls = list(piece.bends), list(piece.rolls)
    for at, bend in enumerate(left):
        along_pipe, angle, roll = values[2 + 3 * at : 5 + 3 * at]
        was = bends[bend]
        bends[bend] = PipeBend(
            was.arc_start + along_pipe * piece.diameter,
            was.angle + math.degrees(angle),
            was.roll,
            was.radius,
        )
        rolls[bend] += math.degrees(roll)
    return replace(piece, bends=tuple(bends), rolls=tuple(rolls))


def _hang(piece: BentPiece, hung: HungPiece, values: Sequence[float]) -> Folded:
    """The piece by its first leg. Args: values, as of _moved: its first two."""
    cut_off = values[1] * piece.diameter
    toward, _ = turned(
        hung.first_toward, cross(hung.ahead, hung.first_toward), math.degrees(values[0])
    )
    rolls = (0.0, *piece.rolls)
    bends = [
        PipeBend(bend.arc_start - cut_off, bend.angle, roll - before, bend.radius)
        for bend, (before, roll) in zip(piece.bends, pairwise(rolls), strict=True)
    ]
    return fold_anyhow(
        bends,
        piece.cut - cut_off,
        start=hung.vertices[0],
        ahead=hung.ahead,
        first_toward=toward,
    )


def _aside(point: Vector, begins: Vector, way: Vector) -> Vector:
    """From a leg's line, drawn on, to a point. Args: begins, the leg, and its way, of length 1."""
    off = subtract(point, begins)
    return along(off, way, -dot(off, way))
