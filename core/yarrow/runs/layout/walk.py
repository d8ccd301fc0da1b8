"""Laying the walk out: its lines, one after the other, as vertices in space."""

from __future__ import annotations

from yarrow.features.feature import Feature, lay
from yarrow.features.leg import FIRST_LEG, Laid, Leg, Pipe, PipeEnd
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.vectors import ORIGIN, Vector
from yarrow.role import Role
from yarrow.runs.model.run import ResolvedRun, RunSetup
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class LaidLine:
    """A line where it came to lie; ``first_vertex`` is the number of its first corner."""

    line: Feature
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

    def roles_of(self, pipe: StraightPipe) -> tuple[Role, ...]:
        """The part that each bend of the straight pipe has in its line."""
        return tuple(self.owners[corner - 1][1] for corner in pipe.corners)

    def features_of(self, pipe: StraightPipe) -> tuple[int, ...]:
        """The line of the walk that each bend of the straight pipe belongs to.

        Returns:
            Numbers on the walk, from 0, in order along the pipe.
        """
        return tuple(self.owners[corner - 1][0] for corner in pipe.corners)


def lay_out(run: ResolvedRun) -> Layout:
    """The vertices of a run, from its walk or its path.

    The origin is the face that the tape is hooked to at the start; the pipe begins the start's
    allowance before it.
    """
    last = run.walk[-1] if run.walk else None
    pipe = pipe_of(run, last.ends_run() if last else None)
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


def pipe_of(run: RunSetup, end: PipeEnd | None) -> Pipe:
    """What of a run's pipe decides where its vertices lie.

    Args:
        run: for its bender, its start and what holds it off the wall.
        end: how its last line ends it; None where it has none.
    """
    return Pipe(
        run.bender.diameter,
        run.bender.radius,
        -float(run.start.allowance),
        end,
        float(run.stand_off),
        run.bender.arc_behind_front,
        run.bender.hook,
        run.bender.heel,
    )


def leg_origin(layout: Layout, number: int, vertices: tuple[Vector, ...], lead: float) -> Vector:
    """Where a leg begins on a bent pipe: its turn, or the face ``lead`` after the pipe's start.

    Args:
        number: of the leg.
        vertices: of the bent pipe, in the same order as the layout's.
        lead: the start's allowance.

    Returns:
        In the frame of the vertices.
    """
    if number == 0:
        x, y, z = vertices[0] if vertices else ORIGIN
        return (x + lead, y, z)
    return vertices[layout.leg_vertices[number]]
