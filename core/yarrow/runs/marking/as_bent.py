"""What a pipe comes out as: its marks, as rounded, folded and measured like the site was."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.benders.bender import Bender
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import PipeBend, StraightPipe, fold
from yarrow.geometry.vectors import Vector, along, length, subtract
from yarrow.runs.layout.walk import Layout, leg_origin
from yarrow.runs.model.plan import DimensionAsBent, Mark
from yarrow.runs.model.run import ResolvedRun
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Outcome:
    """A pipe as it comes out: every number of the walk, and the vertices. Both are empty where the
    marks make arcs overlap, so that no pipe comes out."""

    dimensions: tuple[DimensionAsBent, ...]
    path: tuple[Vector, ...]


def predict_as_bent(
    run: ResolvedRun,
    layout: Layout,
    pipe: StraightPipe,
    marks: Sequence[Mark],
    cut_length: float,
) -> Outcome:
    """Every number of the walk as it comes out when the rounded marks are followed to the letter.

    Args:
        pipe: for the angles and rolls of its bends.
        marks: one a bend, in order.
        cut_length: as rounded, in the run's unit.
    """
    words = run.lengths
    bends = [
        PipeBend(_arc_start(run.bender, mark, bend), bend.angle, bend.roll, bend.radius)
        for mark, bend in zip(marks, pipe.bends, strict=True)
    ]
    try:
        vertices = fold(
            bends,
            cut_length,
            start=layout.vertices[0],
            ahead=pipe.ahead,
            first_toward=pipe.first_toward,
        ).vertices
    except GeometryError:
        return Outcome((), ())
    lead = float(run.start.allowance)
    passed = passed_points(layout, vertices)
    result = []
    for feature, line in enumerate(layout.lines):
        own = line.own_of(passed)
        origin = leg_origin(layout, line.leg.number, vertices, lead)
        for read in line.line.read_back(line.leg, layout.pipe, origin, own):
            off = read.comes_out - read.asked
            result.append(
                DimensionAsBent(
                    feature=feature,
                    field=read.field,
                    asked=read.asked,
                    comes_out=read.comes_out,
                    off=off,
                    asked_text=words.reading(read.asked),
                    off_text=words.off(off),
                    loose=read.field in line.line.loose,
                )
            )
    return Outcome(tuple(result), vertices)


def passed_points(layout: Layout, vertices: tuple[Vector, ...]) -> tuple[Vector, ...]:
    """What of a bent pipe the walk is read back by: its vertices, and for its end where it passes
    the face there, short of the end by the allowance.

    Args:
        layout: the walk.
        vertices: of the bent pipe, in the same order as the layout's.

    Returns:
        In the frame of the vertices.
    """
    before, end = vertices[-2:]
    way, ended = subtract(end, before), layout.pipe.end
    if ended is None or not length(way):
        return vertices
    return (*vertices[:-1], along(end, way, -ended.allowance / length(way)))


def _arc_start(bender: Bender, mark: Mark, bend: PipeBend) -> float:
    length = arc_length(bend.radius, bend.angle)
    return bender.arc_start(mark.rounded, length, mark.hook, mark.reference)
