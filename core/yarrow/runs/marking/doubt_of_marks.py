"""How well the places of marks are known: what the doubt in a bender's numbers moves."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.benders.known_to import KnownTo
from yarrow.benders.placing import Placing
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import StraightPipe, develop
from yarrow.runs.layout.walk import lay_out
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import replace

_HAIR = 1e-4
"""Of the diameter: by how much a number is moved to see what it moves."""


def known_to(
    known: KnownTo, run: ResolvedRun, pipe: StraightPipe, placings: Sequence[Placing]
) -> tuple[float, ...]:
    """Half of the band that holds each mark in 19 of 20 cases, in the run's unit.

    Args:
        known: how well the bender is known.
        run: with its bender.
        pipe: its own.
        placings: the bender on each of its bends.

    Returns:
        One a mark, in order along the pipe.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    bender = run.bender
    hair = _HAIR * bender.diameter
    longer = replace(bender, take_up=bender.take_up + hair)
    wider = replace(bender, radius=bender.radius + hair)
    try:
        # The run's own pipe, not this one: bends that came out different moved it too.
        planned, moved = (
            develop(layout.vertices, layout.pipe.radius)
            for layout in (lay_out(run), lay_out(replace(run, bender=wider)))
        )
    except GeometryError:
        # No room for an arc that is wider by a hair: what it would move is not told.
        moved = planned = pipe
    result = []
    for bend, was, there, how in zip(pipe.bends, planned.bends, moved.bends, placings, strict=True):
        on = (how.hook, how.reference)
        here = bender.mark_position(bend.arc_start, bend.arc_end, *on)
        by_take_up = longer.mark_position(bend.arc_start, bend.arc_end, *on) - here
        before = bender.mark_position(was.arc_start, was.arc_end, *on)
        by_radius = wider.mark_position(there.arc_start, there.arc_end, *on) - before
        result.append(known.of_sum(by_take_up / hair, by_radius / hair))
    return tuple(result)
