"""How each bend is worked: the figures for every way of working, springback and clicks."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.catalog.limits import limits
from yarrow.geometry.arcs import arc_length, tangent_length
from yarrow.geometry.pipe import StraightPipe
from yarrow.measure import ieee
from yarrow.measure.units import Unit
from yarrow.role import Role, closes_pair
from yarrow.runs.marking.gauging import LEGS_PARALLEL, gauge, is_bent_parallel, is_on_a_scale
from yarrow.runs.model.plan import Mark, Working
from yarrow.runs.model.run import ResolvedRun
from yarrow.wording.phrase import AngleReading, Phrase, Shown


def working(
    run: ResolvedRun,
    pipe: StraightPipe,
    roles: Sequence[Role],
    marks: Sequence[Mark],
    sequence: Sequence[int],
) -> tuple[Working, ...]:
    """A row a bend, in order along the pipe.

    Args:
        pipe: as the marks make it, exact or printed.
        sequence: the bends as they are made.

    Source:
        docs/at-the-bender.md, three ways of working.
    """
    words = run.lengths
    bender, warm = run.bender, run.bender.traits.warms
    beyond = warmed_beyond(run.unit)
    rows = []
    for index, (bend, mark) in enumerate(zip(pipe.bends, marks, strict=True)):
        hook_at = bender.mark_position(bend.arc_start, bend.arc_end, mark.hook, "front")
        begins, ends = bend.arc_start, bend.arc_end
        if mark.hook == "end":
            begins, ends = ends, begins
        # Two bends of a set are equal but for float noise, which must not tell them apart.
        to = bender.bend_to(bend.angle)
        second = closes_pair(roles, index, sequence[: sequence.index(index)])
        depth: Shown = ""
        if second and roles[index] in (Role.NEAR, Role.FAR):
            across = pipe.straights[max(index, index + roles[index].partner)]
            depth = words.reading(set_depth(bend.angle, bend.radius, across))
        rows.append(
            Working(
                bend=index,
                start_of_bend=words.reading(begins),
                end_of_bend=words.reading(ends),
                hook_at=words.reading(hook_at),
                between=words.reading(pipe.straights[index]),
                developed=words.reading(arc_length(bend.radius, bend.angle)),
                depth=depth,
                warm_from=words.reading(bend.arc_start - beyond) if warm else "",
                warm_to=words.reading(bend.arc_end + beyond) if warm else "",
                bend_to=to,
                bend_to_text=on_the_scale(to, bend.angle),
                clicks=bender.clicks(bend.angle),
                gauge="" if warm else _gauged(run, pipe, index, second=second),
                angle_text=_about(bend.angle),
            )
        )
    return tuple(rows)


def _gauged(run: ResolvedRun, pipe: StraightPipe, index: int, *, second: bool) -> Phrase | str:
    """What shows that a bend is right where its angle is not read off a scale; else nothing."""
    angle = pipe.bends[index].angle
    if is_bent_parallel(angle, run.marking, second=second):
        return LEGS_PARALLEL
    return "" if is_on_a_scale(angle) else gauge(run.lengths, pipe, index)


def _about(degrees: float) -> AngleReading:
    """An angle as a hand tells it; what is on a scale is that itself."""
    if is_on_a_scale(degrees):
        return AngleReading(degrees)
    return AngleReading(math.floor(2 * degrees + 0.5) / 2)


def on_the_scale(bend_to: float, angle: float) -> AngleReading:
    """What to bend to as it is read: to half a degree, which is what a protractor tells on site.
    Where that is less than what has to stay, as of a small kick, to the next tenth.

    Args:
        bend_to: degrees, with what springs back.
        angle: degrees that have to stay.

    Returns:
        Degrees, with their sign.
    """
    halves = math.floor(round(bend_to * 2, 6) + 0.5) / 2
    if halves < angle - 1e-9:
        return AngleReading(math.ceil(round(bend_to * 10, 6)) / 10)
    return AngleReading(halves)


def warmed_beyond(unit: Unit) -> float:
    """How far plastic is warmed on both sides of its arc.

    Returns:
        In the unit.

    Source:
        catalog/limits.toml.
    """
    return limits().warmed_beyond_the_arc.of(unit)


def set_depth(angle: float, radius: float, straight: float) -> float:
    """Rise of two equal opposite bends with a straight between: (straight + 2 T) sin θ.

    Args:
        angle: of both bends in degrees.
        radius: between their arcs: lengths in one unit.
        straight: between their arcs: lengths in one unit.

    Returns:
        In that unit.
    """
    slope = straight + 2 * tangent_length(radius, angle)
    return slope * ieee.sin(math.radians(angle))
