"""Marks: what goes on the straight pipe, by the exact geometry or by the printed rule."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.benders.bender import Bender, Hook, Reference
from yarrow.benders.placing import Placing
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.pipe import PipeBend, StraightPipe, straights_beside
from yarrow.measure.rounding import round_to
from yarrow.runs.marking.doubt_of_marks import known_to
from yarrow.runs.marking.printed_rule import RuleWork
from yarrow.runs.model.plan import Mark
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import replace
from yarrow.wording.phrase import TapeReading


def exact_marks(
    run: ResolvedRun, pipe: StraightPipe, placings: tuple[Placing, ...]
) -> tuple[Mark, ...]:
    """A mark a bend, where the bender's reference puts the arc exactly in its place, with the band
    that what is not known of the bender makes of it."""
    marks = tuple(
        _exact_mark(run, index, bend, how)
        for index, (bend, how) in enumerate(zip(pipe.bends, placings, strict=True))
    )
    known = run.bender.known_to
    if known is None:
        return marks
    bands = known_to(known, run, pipe, placings)
    words = run.lengths
    return tuple(
        replace(mark, known_to=band, known_to_text=words.reading(words.up(band)))
        for mark, band in zip(marks, bands, strict=True)
    )


def rule_marks(
    run: ResolvedRun, pipe: StraightPipe, placings: tuple[Placing, ...], work: RuleWork
) -> tuple[Mark, ...]:
    """A mark a bend, where the printed rule puts it; where none is printed, the exact one, moved
    along by what the rules before it are out."""
    bender = run.bender
    marks = []
    for index, (bend, how, spot, drift) in enumerate(
        zip(pipe.bends, placings, work.spots, work.drifts, strict=True)
    ):
        if spot is None:
            marks.append(_exact_mark(run, index, bend, how, drift))
        else:
            centre = spot.reference == "centre"
            reference = bender.centre_reference if centre else bender.front_reference
            # Cards speak of front mark and notch; another way of working makes the same arc.
            length = arc_length(bend.radius, bend.angle)
            start = bender.arc_start(spot.position, length, spot.hook, spot.reference)
            position = bender.mark_position(start, start + length, spot.hook, reference)
            marks.append(_mark(run, index, position, reference, spot.hook))
    return tuple(marks)


def pipe_by_marks(
    bender: Bender, pipe: StraightPipe, marks: Sequence[Mark], cut_length: float
) -> StraightPipe:
    """The straight pipe as unrounded marks make it: the same bends, where the marks put them.

    Args:
        pipe: for its angles and rolls.
        marks: one a bend.
        cut_length: in the pipe's unit.
    """
    bends = tuple(
        replace(
            bend,
            arc_start=bender.arc_start(
                mark.position, bend.arc_end - bend.arc_start, mark.hook, mark.reference
            ),
        )
        for bend, mark in zip(pipe.bends, marks, strict=True)
    )
    straights = straights_beside(bends, cut_length)
    return replace(pipe, cut_length=cut_length, straights=straights, bends=bends)


def _exact_mark(
    run: ResolvedRun, index: int, bend: PipeBend, how: Placing, drift: float = 0.0
) -> Mark:
    """Where the bender's reference puts an arc in its place, or ``drift`` further along."""
    start, end = bend.arc_start + drift, bend.arc_end + drift
    position = run.bender.mark_position(start, end, how.hook, how.reference)
    return _mark(run, index, position, how.reference, how.hook)


def _mark(run: ResolvedRun, bend: int, position: float, reference: Reference, hook: Hook) -> Mark:
    rounded = round_to(position, run.round_to, run.unit)
    name = run.bender.mark_name(reference)
    text = TapeReading(rounded.value, run.unit, run.round_to)
    return Mark(bend, position, text, reference, name, hook, rounded.value, rounded.moved)
