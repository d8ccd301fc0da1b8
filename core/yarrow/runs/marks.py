"""Marks: what goes on the straight pipe, by the exact geometry or by the printed rule."""

from __future__ import annotations

from yarrow.benders.bender import Bender, Hook, Reference
from yarrow.benders.placing import Placing
from yarrow.bends.leg import RuleSpot
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.pipe import StraightPipe
from yarrow.measure.rounding import round_to
from yarrow.runs.plan import Mark
from yarrow.runs.run import Run


def exact_marks(run: Run, pipe: StraightPipe, placings: tuple[Placing, ...]) -> tuple[Mark, ...]:
    """A mark a bend, where the bender's reference puts the arc exactly in its place."""
    return tuple(
        _mark(
            run,
            index,
            run.bender.mark_position(bend.arc_start, bend.arc_end, how.hook, how.reference),
            how.reference,
            how.hook,
        )
        for index, (bend, how) in enumerate(zip(pipe.bends, placings, strict=True))
    )


def rule_marks(
    run: Run, pipe: StraightPipe, placings: tuple[Placing, ...], spots: tuple[RuleSpot, ...]
) -> tuple[Mark, ...]:
    """A mark a bend, where the printed rule puts it. An offset's marks are front marks with the
    hook toward the end, so that the far one is where the pipe should be fully displaced."""
    bender = run.bender
    marks = []
    for index, (bend, how, spot) in enumerate(zip(pipe.bends, placings, spots, strict=True)):
        if spot.is_front_mark:
            marks.append(_mark(run, index, spot.position, bender.front_reference, "end"))
        else:
            marks.append(_arc_mark(run, bender, index, spot.position, bend.angle, how))
    return tuple(marks)


def _arc_mark(
    run: Run, bender: Bender, index: int, arc_start: float, angle: float, how: Placing
) -> Mark:
    arc_end = arc_start + arc_length(bender.radius, angle)
    position = bender.mark_position(arc_start, arc_end, how.hook, how.reference)
    return _mark(run, index, position, how.reference, how.hook)


def _mark(run: Run, bend: int, position: float, reference: Reference, hook: Hook) -> Mark:
    rounded = round_to(position, run.round_to, run.unit)
    return Mark(bend, position, rounded.text, reference, hook, rounded.value, rounded.moved)
