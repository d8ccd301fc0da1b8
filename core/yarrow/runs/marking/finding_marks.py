"""Where a mark is found on the piece as it is by then: what the tape is hooked on, how it lies, and
what it reads there."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from typing import NamedTuple

from yarrow.bend_simulation.piece import Piece
from yarrow.benders.bender import Hook, Reference
from yarrow.benders.placing import made_neighbours
from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.pipe import PipeBend, fold_anyhow
from yarrow.geometry.vectors import Vector, along, dot, subtract, unit
from yarrow.measure import ieee
from yarrow.role import SADDLE, Role
from yarrow.runs.marking.told_marks import told
from yarrow.runs.model.plan import FoundMark, FoundOn, Mark
from yarrow.values import dataclass, replace
from yarrow.wording.lengths import JobTape

_HAIR = 1e-6
_SAME_WAY = 1 - 1e-6
"""Cosine from which two legs are parallel: within a twelfth of a degree."""

_SQUARE_WITHIN = 5.0
"""Degrees within which a bend is one that a tape hooks on the back of."""


def finding_marks(
    piece: Piece,
    words: JobTape,
    marks: Sequence[Mark],
    cut_length: float,
    sequence: tuple[int, ...],
    *,
    first: Hook,
    by_tape: bool,
) -> tuple[FoundMark, ...]:
    """A row a bend, in the order that they are made, and the cut: what the tape shows there on the
    piece with exactly those bends that come before.

    Args:
        piece: what is bent.
        words: the job's tape.
        marks: one a bend, in order along the pipe.
        cut_length: in the same unit.
        sequence: the bends as they are made.
        first: the end of the pipe that is measured from; the other is cut last.
        by_tape: whether the piece may be measured at all; marks by a printed table are for the
            straight pipe, whatever comes out.

    Source:
        docs/at-the-bender.md, marked flat or as you go.
    """
    bent = fold_anyhow(piece.pipe.bends, cut_length).vertices if by_tape else ()
    look = _Look(piece, words, marks, cut_length, first, bent)
    rows = [look.mark(bend, sequence[:at] * by_tape) for at, bend in enumerate(sequence)]
    return (*rows, look.cut(sequence * by_tape))


def first_end(sequence: Sequence[int]) -> Hook:
    """The end of the pipe that is measured from: the one that the bends go away from; the other is
    left long and cut last.

    Args:
        sequence: the bends as they are made, by their numbers along the pipe.
    """
    return "end" if sequence and sequence[0] > sequence[-1] else "start"


@dataclass(frozen=True, slots=True)
class _Look:
    """A piece whose marks are looked for, measured from one of its ends ``first``; ``bent``, its
    vertices once all of it is made."""

    piece: Piece
    words: JobTape
    marks: Sequence[Mark]
    cut_length: float
    first: Hook
    bent: tuple[Vector, ...]

    def mark(self, bend: int, made: Sequence[int]) -> FoundMark:
        """Where the mark of a bend is found, with others in the pipe already."""
        mark = self.marks[bend]
        found = self._on_the_piece(bend, made) or self._flat(mark.position)
        return self._row(found, bend, mark.reference, mark.hook)

    def cut(self, made: Sequence[int]) -> FoundMark:
        """Where the piece is cut, at the end that was left long."""
        beyond, place = (len(self.marks), self.cut_length) if self.first == "start" else (-1, 0.0)
        return self._row(self._by_tape(place, beyond, made) or self._flat(place))

    def _on_the_piece(self, bend: int, made: Sequence[int]) -> _Measured | None:
        if made and self.piece.roles[bend] is Role.SEGMENT:
            return None  # a few degrees a shot: all of them go on the straight pipe
        return (
            self._in_its_saddle(bend, made)
            or self._beside_its_partner(bend, made)
            or self._by_tape(self.marks[bend].position, bend, made)
        )

    def _in_its_saddle(self, bend: int, made: Sequence[int]) -> _Measured | None:
        """From the mark of the saddle's bend that was made first, along the pipe: all three go on
        while it is straight there."""
        roles = self.piece.roles
        if roles[bend] not in SADDLE:
            return None
        near = bend - SADDLE.index(roles[bend])
        of = next((one for one in made if near <= one < near + len(SADDLE)), None)
        if of is None:
            return None
        reads = self.marks[bend].position - self.marks[of].position
        return _Measured("centre", abs(reads), of)

    def _beside_its_partner(self, bend: int, made: Sequence[int]) -> _Measured | None:
        """By a straightedge along the leg on the other side of a set's first bend.

        Source: the second arc begins rise − r(1 − cos θ) over that leg, same side to same side.
        """
        role = self.piece.roles[bend]
        if role not in (Role.NEAR, Role.FAR):
            return None
        of = bend + role.partner
        bends = self.piece.pipe.bends
        first, second = bends[of], bends[bend]
        if of not in made or not _parallel(first, second, bends[max(of, bend)].roll):
            return None
        if not self._is_straight_at(self.marks[bend].position, bend, made):
            return None
        position = self.marks[bend].position
        if of < bend:
            leg, begins, on = of, second.arc_start - first.arc_end, position - first.arc_end
        else:
            leg, begins, on = of + 1, first.arc_start - second.arc_end, first.arc_start - position
        theta = math.radians(first.angle)
        risen = first.radius * (1 - ieee.cos(theta))
        over, at_mark = (risen + reached * ieee.sin(theta) for reached in (begins, on))
        return _Measured("height", over, of, leg, at_mark=at_mark)

    def _by_tape(self, place: float, bend: int, made: Sequence[int]) -> _Measured | None:
        """From what of the piece the tape hooks on: the neighbour that was made last is asked
        first, then the other."""
        if not self._is_straight_at(place, bend, made):
            return None
        before, after = (
            -1 if neighbour is None else made.index(neighbour)
            for neighbour in made_neighbours(made, bend)
        )
        # Where neither is made: the end that is measured from.
        from_end = after > before or (after == before and self.first == "end")
        sides: tuple[Hook, Hook] = ("end", "start") if from_end else ("start", "end")
        return self._from(sides[0], place, bend, made) or self._from(sides[1], place, bend, made)

    def _from(self, side: Hook, place: float, bend: int, made: Sequence[int]) -> _Measured | None:
        """With the tape hooked somewhere toward a side; None where nothing there is to hook on."""
        walk = [at for at in sorted(made) if (at < bend if side == "start" else at > bend)]
        if not walk:
            return _Measured(side, self._from_first(place)) if side == self.first else None
        if side == "end":
            walk.reverse()
        leg = bend if side == "start" else bend + 1
        for hooked in self._hooks(side, place, walk):
            if hooked.of is not None or side == self.first:
                on: FoundOn = side if hooked.of is None else "back"
                return _Measured(on, hooked.reads, hooked.of, leg, over=hooked.over)
        return None

    def _hooks(self, side: Hook, place: float, walk: Sequence[int]) -> Iterator[_Hooked]:
        """What a tape parallel to the leg can be hooked on, the nearest first: backs of bends, and
        the pipe's end.

        Args:
            walk: the made bends from that end of the pipe on, up to the leg.
        """
        bends = [self.piece.pipe.bends[at] for at in walk]
        half = self.piece.bender.diameter / 2
        last = bends[-1]
        straight = place - last.arc_end if side == "start" else last.arc_start - place
        reach = straight + tangent_length(last.radius, last.angle)
        if _is_square(last):
            yield _Hooked(walk[-1], reach + _to_the_back(last, half), over=False)
        *vertices, ends = self._folded(side, walk)
        way = unit(subtract(ends, vertices[-1]))
        at_mark = along(vertices[-1], way, reach)
        for number in range(len(walk) - 1, -1, -1):
            begins = vertices[number]
            if number and not _is_square(bends[number - 1]):
                continue
            if dot(unit(subtract(vertices[number + 1], begins)), way) < _SAME_WAY:
                continue
            reads = dot(subtract(at_mark, begins), way)
            if number == 0:
                yield _Hooked(None, reads, over=True)
            else:
                back = _to_the_back(bends[number - 1], half)
                yield _Hooked(walk[number - 1], reads + back, over=True)

    def _folded(self, side: Hook, walk: Sequence[int]) -> Sequence[Vector]:
        """The vertices from a side's end on, with just those bends, and a point of the leg that
        follows."""
        pipe, last = self.piece.pipe, walk[-1]
        if side == "start" and len(walk) == last + 1:
            return self.bent[: last + 3]
        if side == "end" and len(walk) == len(pipe.bends) - last:
            return self.bent[: last - 1 if last else None : -1]
        made = pipe.only(walk)
        if side == "end":
            # Walked from there it is a mirror image if anything: no distance changes.
            made = [replace(bend, arc_start=self.cut_length - bend.arc_end) for bend in made]
        return fold_anyhow(made, made[-1].arc_end + 1.0).vertices

    def _is_straight_at(self, place: float, bend: int, made: Sequence[int]) -> bool:
        """Whether the pipe has no arc there yet."""
        before, after = made_neighbours(made, bend)
        bends = self.piece.pipe.bends
        return (before is None or bends[before].arc_end <= place + _HAIR) and (
            after is None or place <= bends[after].arc_start + _HAIR
        )

    def _flat(self, place: float) -> _Measured:
        """On the straight pipe, before anything is bent."""
        return _Measured(self.first, self._from_first(place), flat=True)

    def _from_first(self, place: float) -> float:
        return place if self.first == "start" else self.cut_length - place

    def _row(
        self,
        found: _Measured,
        bend: int | None = None,
        reference: Reference | None = None,
        hook: Hook | None = None,
    ) -> FoundMark:
        reads = at_mark = self.words.reading(found.reads)
        if found.at_mark is not None:
            at_mark = self.words.reading(found.at_mark)
        words = told(found.on, found.of, at_mark, over=found.over, flat=found.flat)
        return FoundMark(
            bend=bend,
            on=found.on,
            of=found.of,
            reads=found.reads,
            reads_text=reads,
            parallel_to=found.parallel_to,
            at_mark=at_mark.value,
            at_mark_text=at_mark,
            first=self.first,
            over=found.over,
            flat=found.flat,
            bends_to="parallel" if found.on == "height" else "angle",
            reference=reference,
            hook=hook,
            told=words.told,
            where=words.where,
        )


class _Measured(NamedTuple):
    """What a mark is found by: as a row of a plan has it."""

    on: FoundOn
    reads: float
    of: int | None = None
    parallel_to: int | None = None
    over: bool = False
    flat: bool = False
    at_mark: float | None = None


class _Hooked(NamedTuple):
    """A tape hooked on the back of a bend, or on the pipe's end where there is none; whether it
    lies ``over`` bends between."""

    of: int | None
    reads: float
    over: bool


def _parallel(first: PipeBend, second: PipeBend, roll: float) -> bool:
    """Whether the legs beside two bends are parallel once both are made."""
    return abs(first.angle - second.angle) < 1e-3 and abs(abs(roll) - 180) < 1e-3


def _is_square(bend: PipeBend) -> bool:
    return abs(bend.angle - 90) <= _SQUARE_WITHIN


def _to_the_back(bend: PipeBend, half: float) -> float:
    """From a bend's vertex to its back: where the outsides of both legs meet."""
    return half * ieee.tan(math.radians(bend.angle) / 2)
