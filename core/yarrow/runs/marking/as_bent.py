"""What a pipe comes out as: its marks, as rounded, folded and measured like the site was."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from typing import NamedTuple

from yarrow.benders.bender import Bender
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import PipeBend, StraightPipe, fold
from yarrow.geometry.vectors import Vector, along, length, subtract
from yarrow.runs.layout.walk import LaidLine, Layout, leg_origin
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
    result = []
    for feature, (line, origin, own) in enumerate(lines_on(run, layout, vertices)):
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


class LineOnPipe(NamedTuple):
    """A line of the walk with what it is read back by on a bent pipe: where its leg begins, and its
    own vertices with the one after them where there is one."""

    line: LaidLine
    origin: Vector
    own: tuple[Vector, ...]


def lines_on(
    run: ResolvedRun, layout: Layout, vertices: tuple[Vector, ...]
) -> Iterator[LineOnPipe]:
    """Every line of the walk where a bent pipe has it.

    Args:
        run: for its start.
        layout: the walk.
        vertices: of the bent pipe, in the run's unit and in the same order as the layout's.

    Returns:
        In the frame of the vertices.
    """
    lead, passed = float(run.start.allowance), _passed_points(layout, vertices)
    for line in layout.lines:
        own = passed[line.first_vertex : line.first_vertex + len(line.laid.corners) + 1]
        yield LineOnPipe(line, leg_origin(layout, line.leg.number, vertices, lead), own)


def _passed_points(layout: Layout, vertices: tuple[Vector, ...]) -> tuple[Vector, ...]:
    """The vertices, and for the pipe's end where it passes the face there, short of the end by the
    allowance."""
    before, end = vertices[-2:]
    way, ended = subtract(end, before), layout.pipe.end
    if ended is None or not length(way):
        return vertices
    return (*vertices[:-1], along(end, way, -ended.allowance / length(way)))


def _arc_start(bender: Bender, mark: Mark, bend: PipeBend) -> float:
    length = arc_length(bend.radius, bend.angle)
    return bender.arc_start(mark.rounded, length, mark.hook, mark.reference)
