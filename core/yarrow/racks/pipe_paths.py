"""Where each pipe of a rack runs: beside the one before it, as planned or as it was built."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from yarrow.catalog.stances import stances
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.geometry.arcs import arc_length
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.frame import Frame
from yarrow.geometry.parallel import Sideways, carried, offset_polyline
from yarrow.geometry.pipe import PipeBend, develop, fold
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import convert
from yarrow.role import Role
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.lines import labelled_line
from yarrow.runs.model.run import Built, OtherPipe, Rack, ResolvedRun
from yarrow.runs.planner import plan_path
from yarrow.runs.stages import UnbuildablePlan
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Value, count

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class RackPipePath:
    """Where a pipe of a rack runs: its vertices, its distance from the first one's line, and for
    each of its corners how far outward of the first one's it lies. ``real`` are its vertices as
    built. ``problem`` is the leg that has no length left."""

    pipe: int
    run: ResolvedRun
    vertices: tuple[Vector, ...]
    offset: float
    outward: tuple[float, ...]
    owners: tuple[tuple[int, Role], ...]
    real: tuple[Vector, ...]
    problem: GeometryError | None


def pipe_lines(setup: ResolvedRun, rack: Rack, layout: Layout) -> list[RackPipePath]:
    """Every pipe's line, each laid beside the one before it."""
    frame = Frame()
    way, up = frame.toward(rack.side), frame.out
    flat = rack.side in ("left", "right")
    base, reached, owners = layout.vertices, 0.0, layout.owners
    rack_pipe_paths: list[RackPipePath] = []
    for number in range(rack.count):
        run = _like(setup, rack, number)
        vertices, problem = base, None
        outward = tuple(0.0 for _ in base[1:-1])
        if number:
            last = rack_pipe_paths[-1]
            step = _spacing(rack, last.run, run)
            raised = (run.bender.diameter - last.run.bender.diameter) / 2 if flat else 0.0
            reached += step
            try:
                aside = carried(base, way)
                vertices = _beside(base, aside, step, up, raised)
                outward = tuple(
                    before + at * step
                    for before, at in zip(last.outward, aside.outward, strict=True)
                )
            except GeometryError as error:
                problem = error
        real = _built(run, rack, number, vertices, owners) if not problem else ()
        rack_pipe_paths.append(
            RackPipePath(number, run, vertices, reached, outward, owners, real, problem)
        )
        if problem:
            break
        base = real or vertices
    return rack_pipe_paths


def _beside(
    base: Sequence[Vector], aside: Sideways, step: float, up: Vector, raised: float
) -> tuple[Vector, ...]:
    """Beside the pipe before, and as much higher as a thicker pipe's middle lies off a surface."""
    vertices = offset_polyline(base, aside, step)
    if abs(raised) < _HAIR:
        return vertices
    return offset_polyline(vertices, carried(vertices, up), raised)


def _like(setup: ResolvedRun, rack: Rack, number: int) -> ResolvedRun:
    """The setup for one pipe of the rack, whose path is still to come."""
    start = replace(setup.start, allowance=Fraction(0))
    plain = replace(setup, walk=(), method="exact", start=start, answers=(), own_allowances=())
    if number == 0 or number > len(rack.others):
        return plain
    other: OtherPipe = rack.others[number - 1]
    return replace(
        plain,
        conduit=other.conduit,
        bender=other.bender,
        bender_fits=other.bender_fits,
        stances=stances(other.bender.kind),
    )


def _spacing(rack: Rack, one: ResolvedRun, other: ResolvedRun) -> float:
    if rack.between == "centres":
        return rack.spacing
    return rack.spacing + (outside(one) + outside(other)) / 2


def outside(run: ResolvedRun) -> float:
    """The outside diameter of a run's conduit, in the run's unit.

    Returns:
        In that unit.
    """
    return float(convert(run.conduit.diameter, run.conduit.unit, run.unit))


def _built(
    run: ResolvedRun,
    rack: Rack,
    number: int,
    vertices: tuple[Vector, ...],
    owners: tuple[tuple[int, Role], ...],
) -> tuple[Vector, ...]:
    """The vertices of a pipe as it was really built; none where nothing is told of it."""
    built: Built | None = next((built for built in rack.built if built.pipe == number), None)
    if built is None:
        return ()
    plan = plan_path(run, vertices, owners)
    if isinstance(plan, UnbuildablePlan):
        return ()
    pipe = plan.placed.pipe
    bends = list(pipe.bends)
    for built_bend in built.bends:
        if built_bend.bend >= len(bends):
            continue
        bend = bends[built_bend.bend]
        angle = bend.angle if built_bend.angle is None else built_bend.angle
        mark = plan.marked.marks[built_bend.bend]
        position = mark.position if built_bend.mark is None else built_bend.mark
        starts = run.bender.arc_start(
            position, arc_length(bend.radius, angle), mark.hook, mark.reference
        )
        bends[built_bend.bend] = PipeBend(starts, angle, bend.roll, bend.radius)
    # What a bend takes more or less of pipe moves what comes after it, as it does on the stick.
    try:
        return fold(
            bends,
            pipe.cut_length,
            start=vertices[0],
            ahead=pipe.ahead,
            first_toward=pipe.first_toward,
        ).vertices
    except GeometryError:
        return ()


def built_findings(rack: Rack, lines: Sequence[RackPipePath]) -> list[Finding]:
    """What was told of a pipe as built and can't be so."""
    findings = []
    for number, built in enumerate(rack.built):
        path = f"rack.built[{number}]"
        line = next((line for line in lines if line.pipe == built.pipe and not line.problem), None)
        if line is None:
            continue
        bends = len(develop(line.vertices, line.run.bender.radius).bends)
        if any(bend.bend >= bends for bend in built.bends):
            values = {"pipe": count(built.pipe + 1), "bends": count(bends)}
            findings.append(Finding(FindingCode.BUILT_BEND_UNKNOWN, values, path=path))
        if not line.real:
            pipe = {"pipe": count(built.pipe + 1)}
            findings.append(Finding(FindingCode.BUILT_NOT_POSSIBLE, pipe, path=path))
    return findings


def no_leg(line: RackPipePath) -> Finding:
    """An error for a pipe that turns before its leg has begun."""
    leg = line.problem.index if line.problem else 0
    values: dict[str, Value] = {
        "pipe": count(line.pipe + 1),
        "line": labelled_line(line.run, line.owners[leg][0]),
        "offset": line.run.lengths.measured(line.offset),
        "frees": FREES,
    }
    return Finding(FindingCode.RACK_LEG_GONE, values, path="rack.spacing")


FREES = Phrase("rack-frees")
"""What frees a pipe that lies too far in."""
