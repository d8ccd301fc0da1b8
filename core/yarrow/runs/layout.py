"""Laying the walk out: its lines, one after the other, as vertices in space."""

from __future__ import annotations

from dataclasses import dataclass

from yarrow.bends.feature import lay
from yarrow.bends.leg import FIRST_LEG, Laid, Leg, Pipe
from yarrow.bends.registry import Line
from yarrow.geometry.vectors import ORIGIN, Vector
from yarrow.role import Role
from yarrow.runs.run import Run


@dataclass(frozen=True, slots=True)
class LaidLine:
    """A line where it came to lie; ``first_vertex`` is the number of its first corner."""

    line: Line
    leg: Leg
    laid: Laid
    first_vertex: int


@dataclass(frozen=True, slots=True)
class Layout:
    """The whole walk in space. ``owners`` names the line and part of every vertex but the first;
    ``leg_vertices`` the vertex that each leg starts at."""

    pipe: Pipe
    vertices: tuple[Vector, ...]
    owners: tuple[tuple[int, Role], ...]
    lines: tuple[LaidLine, ...]
    leg_vertices: tuple[int, ...]


def lay_out(run: Run) -> Layout:
    """The vertices of a run, from its walk or its path.

    The origin is the face that the tape is hooked to at the start; the pipe begins the start's
    allowance before it.
    """
    pipe = pipe_of(run)
    if run.path:
        vertices = tuple((float(x), float(y), float(z)) for x, y, z in run.path)
        plain = ((corner, Role.CORNER) for corner in range(len(vertices) - 1))
        return Layout(pipe, vertices, run.corners or tuple(plain), (), (0,))
    leg = FIRST_LEG
    points = [leg.point(pipe.begins)]
    owned: list[tuple[int, Role]] = []
    lines: list[LaidLine] = []
    leg_vertices = [0]
    for feature, line in enumerate(run.walk):
        laid = lay(line, leg, pipe)
        lines.append(LaidLine(line, leg, laid, len(points)))
        for corner in laid.corners:
            points.append(corner.point)
            owned.append((feature, corner.role))
        if laid.after.number != leg.number:
            leg_vertices.append(len(points) - 1)
        leg = laid.after
    return Layout(pipe, tuple(points), tuple(owned), tuple(lines), tuple(leg_vertices))


def pipe_of(run: Run) -> Pipe:
    """What of a run's pipe decides where its vertices lie."""
    last = run.walk[-1] if run.walk else None
    return Pipe(
        run.bender.diameter,
        run.bender.radius,
        -float(run.start.allowance),
        last.ends_run() if last else None,
        float(run.stand_off),
    )


def leg_origin(layout: Layout, number: int, vertices: tuple[Vector, ...], lead: float) -> Vector:
    """Where a leg begins on a bent pipe: its turn, or the face ``lead`` after the pipe's start.

    Args: vertices of the bent pipe, in the same order as the layout's; lead, the start's allowance.
    """
    if number == 0:
        x, y, z = vertices[0] if vertices else ORIGIN
        return (x + lead, y, z)
    return vertices[layout.leg_vertices[number]]
