"""Hands that are off by a little: pieces made with each mark and angle not quite where it was told,
or on a bender that is not quite what was thought; and what such a piece measures."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from core.tests.measuring import Measured, Scatter
from yarrow.benders.bender import Bender
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.pipe import PipeBend, fold_anyhow
from yarrow.runs.marking.as_bent import lines_on
from yarrow.runs.stages import BuildablePlan

SPREADS = {
    "in": {"mark": 1 / 32, "angle": 1.0, "parallel": 0.5},
    "mm": {"mark": 0.5, "angle": 1.0, "parallel": 0.5},
}
"""One standard deviation of a hand: lengths in the unit, degrees."""

Maker = Callable[[BuildablePlan, Scatter, Bender], list[float]]


def as_you_go(plan: BuildablePlan, off: Scatter, bender: Bender) -> list[float]:
    """What a piece measures whose steps were followed; ``plan`` has to be marked as you go."""
    hand = Measured(plan.resolution.run.unit, bender, 2 * plan.marked.cut_length, off=off)
    return measured(plan, *hand.follow(plan.steps))


def flat(plan: BuildablePlan, off: Scatter, bender: Bender) -> list[float]:
    """What a piece measures all of whose marks went on the straight pipe."""
    bends = []
    for mark, bend in zip(plan.marked.marks, plan.placed.pipe.bends, strict=True):
        angle = bend.angle + off("angle")
        long = arc_length(bender.radius, angle)
        begins = bender.arc_start(mark.rounded + off("mark"), long, mark.hook, mark.reference)
        bends.append(PipeBend(begins, angle, bend.roll, bender.radius))
    return measured(plan, bends, plan.marked.cut_length + off("mark"))


def measured(plan: BuildablePlan, bends: Sequence[PipeBend], cut_length: float) -> list[float]:
    """Every number of the walk, in the order of the plan's."""
    layout, pipe = plan.layout, plan.placed.pipe
    vertices = fold_anyhow(
        bends,
        cut_length,
        start=layout.vertices[0],
        ahead=pipe.ahead,
        first_toward=pipe.first_toward,
    ).vertices
    return [
        read.comes_out
        for line, origin, own in lines_on(plan.resolution.run, layout, vertices)
        for read in line.line.read_back(line.leg, layout.pipe, origin, own)
    ]
