"""From a run and its rack to every pipe's marks: side by side, in shots, next from last."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from fractions import Fraction
from itertools import pairwise

from yarrow.geometry.arcs import arc_length
from yarrow.geometry.closest import Near, closest
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.frame import Frame
from yarrow.geometry.parallel import Sideways, beside, carried, chamfered
from yarrow.geometry.pipe import PipeBend, develop, fold
from yarrow.geometry.vectors import Vector, along, cross, dot, length, subtract
from yarrow.measure.units import convert
from yarrow.racks.rack_plan import Gap, RackPipe, RackPlan, Shots
from yarrow.runs.findings.tool import SHOT
from yarrow.runs.layout import Layout, lay_out
from yarrow.runs.plan import Finding, Plan, Remedy
from yarrow.runs.planner import Asked, ask, plan_asked
from yarrow.runs.run import Built, OtherPipe, Rack, Run, Survey
from yarrow.runs.words import Words

_TURNS = ("turn", "corner")
"""Corners that a concentric rack bends about one centre: sets and saddles keep to the shoe."""

_HAIR = 1e-6


def plan_rack(survey: Survey) -> RackPlan:
    """Every pipe of a run's rack; a run without one is a rack of itself.

    The first pipe is the run. Each next one is laid beside the one before it, as that was built
    where it says so; its vertices are the parallel polyline's, so that legs and slopes keep the
    spacing. What can't be made is a pipe with an error finding, and the rack says which.

    Source: docs/geometry.md, racks.
    """
    asked = ask(survey)
    rack = survey.rack or Rack(1, "left", 1.0, "centres", "same", 1.0, (), ())
    setup = asked.run
    first = plan_asked(asked)
    words = asked.words
    findings: list[Finding] = []
    if setup.method == "table":
        text = "A rack is marked by the exact geometry: printed marks do not keep pipes parallel."
        findings.append(Finding("note", "rack-is-exact", text, path="method"))
    if first.cut_length <= 0:
        return _rack_plan(setup, rack, (), (), [*findings, *_errors(first)])
    layout = lay_out(setup)
    lines = _lines(setup, rack, layout)
    findings += _built_findings(rack, lines)
    pipes: list[RackPipe] = []
    gaps: list[Gap] = []
    for line in lines:
        if line.problem:
            findings.append(_no_leg(line, words))
            continue
        pipe = _pipe(setup, rack, line, lines, words, pipes[-1] if pipes else None)
        findings += _named(pipe)
        pipes.append(pipe)
    for one, other in pairwise(pipes):
        if other.pipe == one.pipe + 1:
            gap = _gap(lines[one.pipe], lines[other.pipe], one, other, setup, rack, lines, words)
            gaps.append(gap)
    findings += _touching(gaps, rack, words)
    return _rack_plan(setup, rack, tuple(pipes), tuple(gaps), findings)


@dataclass(frozen=True, slots=True)
class _Line:
    """Where a pipe of a rack runs: its vertices, its distance from the first one's line, and for
    each of its corners how far outward of the first one's it lies. ``real`` are its vertices as
    built. ``problem`` is the leg that has no length left."""

    pipe: int
    run: Run
    vertices: tuple[Vector, ...]
    offset: float
    outward: tuple[float, ...]
    owners: tuple[tuple[int, str], ...]
    real: tuple[Vector, ...]
    problem: GeometryError | None


def _lines(setup: Run, rack: Rack, layout: Layout) -> list[_Line]:
    """Every pipe's line, each laid beside the one before it."""
    frame = Frame()
    way, up = frame.toward(rack.side), frame.out
    flat = rack.side in ("left", "right")
    base, reached, owners = layout.vertices, 0.0, layout.owners
    found: list[_Line] = []
    for number in range(rack.count):
        run = _like(setup, rack, number)
        vertices, problem = base, None
        outward = tuple(0.0 for _ in base[1:-1])
        if number:
            last = found[-1]
            step = _spacing(rack, last.run, run)
            raised = (run.bender.diameter - last.run.bender.diameter) / 2 if flat else 0.0
            reached += step
            try:
                aside = carried(base, way)
                vertices = _beside(base, aside, step, up, raised)
                outward = tuple(
                    before + each * step
                    for before, each in zip(last.outward, aside.outward, strict=True)
                )
            except GeometryError as error:
                problem = error
        real = _built(run, rack, number, vertices, owners) if not problem else ()
        found.append(_Line(number, run, vertices, reached, outward, owners, real, problem))
        if problem:
            break
        base = real or vertices
    return found


def _beside(
    base: Sequence[Vector], aside: Sideways, step: float, up: Vector, raised: float
) -> tuple[Vector, ...]:
    """Beside the pipe before, and as much higher as a thicker pipe's middle lies off a surface."""
    vertices = beside(base, aside, step)
    if abs(raised) < _HAIR:
        return vertices
    return beside(vertices, carried(vertices, up), raised)


def _like(setup: Run, rack: Rack, number: int) -> Run:
    """The setup for one pipe of the rack, whose path is still to come."""
    start = replace(setup.start, allowance=Fraction(0))
    plain = replace(setup, walk=(), method="exact", start=start, answers=(), own_allowances=())
    if number == 0 or number > len(rack.others):
        return plain
    other: OtherPipe = rack.others[number - 1]
    return replace(plain, conduit=other.conduit, bender=other.bender, bender_fits=other.bender_fits)


def _spacing(rack: Rack, one: Run, other: Run) -> float:
    if rack.between == "centres":
        return rack.spacing
    return rack.spacing + (_outside(one) + _outside(other)) / 2


def _outside(run: Run) -> float:
    return float(convert(run.conduit.diameter, run.conduit.unit, run.unit))


def _radii(line: _Line, lines: Sequence[_Line], rack: Rack) -> list[float]:
    """The radius of each corner of a pipe: its shoe's; about one centre, wider by as much as it
    lies further out than the innermost, and nowhere tighter than any pipe's own shoe."""
    own = line.run.bender.radius
    if rack.corners == "same":
        return [own] * len(line.outward)
    found = []
    made = [each for each in lines if not each.problem]
    for corner, outward in enumerate(line.outward):
        if line.owners[corner][1] not in _TURNS:
            found.append(own)
            continue
        centre = max(each.run.bender.radius - each.outward[corner] for each in made)
        found.append(centre + outward)
    return found


def _pipe(
    setup: Run,
    rack: Rack,
    line: _Line,
    lines: Sequence[_Line],
    words: Words,
    before: RackPipe | None,
) -> RackPipe:
    vertices, owners, wide = _in_shots(line, _radii(line, lines, rack), rack)
    run = replace(
        line.run,
        name=f"{setup.name}, pipe {line.pipe + 1}" if setup.name else "",
        path=tuple((Fraction(x), Fraction(y), Fraction(z)) for x, y, z in vertices),
        corners=owners,
        order=setup.order if not wide else (),
    )
    plan = plan_asked(Asked(Survey(run, ()), run, (), (), (), words))
    made = plan.working_marks
    moved: tuple[str, ...] = ()
    if before and len(before.marks) == len(made) and len(before.bends) == len(plan.bends):
        moved = tuple(
            words.off(mark.position - other.position)
            for mark, other in zip(made, before.marks, strict=True)
        )
    return RackPipe(
        pipe=line.pipe,
        offset=line.offset,
        offset_text=words.reading(line.offset),
        conduit=plan.conduit,
        bender=plan.bender,
        cut_length=plan.cut_length,
        cut_length_text=plan.cut_length_text,
        path=plan.path,
        comes_out_as=plan.comes_out_as,
        built_as=line.real,
        bends=plan.bends,
        marks=made,
        moved=moved,
        shots=tuple(_shots(plan, feature, radius, count, words) for feature, radius, count in wide),
        findings=plan.findings,
    )


_Wide = list[tuple[int, float, int]]
"""Wide bends: the line of the walk, the radius, the number of shots."""


def _in_shots(
    line: _Line, radii: Sequence[float], rack: Rack
) -> tuple[tuple[Vector, ...], tuple[tuple[int, str], ...], _Wide]:
    """A pipe's vertices with every corner that is wider than its shoe as many small ones."""
    vertices: list[Vector] = [line.vertices[0]]
    owners: list[tuple[int, str]] = []
    wide: _Wide = []
    for corner, radius in enumerate(radii):
        around = line.vertices[corner : corner + 3]
        angle = _angle(around)
        owner = line.owners[corner]
        count = 1
        if radius > line.run.bender.radius + _HAIR:
            count = max(math.ceil(angle / rack.shot - 1e-9), 1)
        if count > 1:
            wide.append((owner[0], radius, count))
            owner = (owner[0], SHOT)
        made = chamfered(around, radius, count)
        vertices += made
        owners += [owner] * len(made)
    vertices.append(line.vertices[-1])
    owners.append(line.owners[-1])
    return tuple(vertices), tuple(owners), wide


def _angle(around: Sequence[Vector]) -> float:
    arriving, leaving = subtract(around[1], around[0]), subtract(around[2], around[1])
    return math.degrees(math.atan2(length(cross(arriving, leaving)), dot(arriving, leaving)))


def _shots(plan: Plan, feature: int, radius: float, count: int, words: Words) -> Shots:
    """A wide bend's figures, as they are read off on the pipe."""
    own = [n for n, bend in enumerate(plan.bends) if (bend.feature, bend.role) == (feature, SHOT)]
    first = plan.bends[own[0]]
    step = math.radians(first.angle)
    flat = 2 * (radius - first.radius) * math.tan(step / 2)
    apart = arc_length(first.radius, first.angle) + flat
    marks = {mark.bend: mark for mark in plan.marks}
    return Shots(
        feature=feature,
        bend=own[0],
        radius=radius,
        radius_text=words.reading(radius),
        count=count,
        degrees=first.angle,
        apart=apart,
        apart_text=words.reading(apart),
        first_text=marks[own[0]].text if own[0] in marks else "",
        developed=count * apart,
        developed_text=words.reading(count * apart),
    )


def _built(
    run: Run,
    rack: Rack,
    number: int,
    vertices: tuple[Vector, ...],
    owners: tuple[tuple[int, str], ...],
) -> tuple[Vector, ...]:
    """The vertices of a pipe as it was really built; none where nothing is told of it."""
    told: Built | None = next((each for each in rack.built if each.pipe == number), None)
    if told is None:
        return ()
    path = tuple((Fraction(x), Fraction(y), Fraction(z)) for x, y, z in vertices)
    laid = replace(run, path=path, corners=owners)
    plan = plan_asked(Asked(Survey(laid, ()), laid, (), (), (), Words(run.unit, run.round_to)))
    pipe = develop(vertices, run.bender.radius)
    bends = list(pipe.bends)
    for each in told.bends:
        if each.bend >= len(bends):
            continue
        bend = bends[each.bend]
        angle = bend.angle if each.angle is None else each.angle
        mark = plan.marks[each.bend]
        position = mark.position if each.mark is None else each.mark
        starts = run.bender.arc_start(
            position, arc_length(bend.radius, angle), mark.hook, mark.reference
        )
        bends[each.bend] = PipeBend(starts, angle, bend.roll, bend.radius)
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


def _built_findings(rack: Rack, lines: Sequence[_Line]) -> list[Finding]:
    """What was told of a pipe as built and can't be so."""
    found = []
    for number, told in enumerate(rack.built):
        path = f"rack.built[{number}]"
        line = next((each for each in lines if each.pipe == told.pipe and not each.problem), None)
        if line is None:
            continue
        bends = len(develop(line.vertices, line.run.bender.radius).bends)
        if any(each.bend >= bends for each in told.bends):
            text = f"Pipe {told.pipe + 1} has {bends} bends: what is told of others is left out."
            found.append(Finding("warning", "built-bend-unknown", text, path=path))
        if not line.real:
            text = (
                f"Pipe {told.pipe + 1} can't be as it is told to be built: its arcs would overlap. "
                "Measure its marks and angles again."
            )
            found.append(Finding("error", "built-not-possible", text, path=path))
    return found


def _gap(
    line: _Line,
    next_line: _Line,
    one: RackPipe,
    other: RackPipe,
    setup: Run,
    rack: Rack,
    lines: Sequence[_Line],
    words: Words,
) -> Gap:
    """What is between two pipes, along the corners as they are planned."""
    base = line.real or line.vertices
    near: Near = closest(
        base, next_line.vertices, _radii(line, lines, rack), _radii(next_line, lines, rack)
    )
    air = near.distance - (_outside(line.run) + _outside(next_line.run)) / 2
    centres = next_line.offset - line.offset
    off = _legs_off(one, other)
    at = "the legs, as spaced"
    if near.distance < centres - _HAIR:
        at = _line_name(setup, line.owners[max(near.corner, 1) - 1][0])
    return Gap(
        pipe=one.pipe,
        centres=centres,
        centres_text=words.reading(centres),
        air=air,
        air_text=words.reading(words.down(max(air, 0.0))),
        at=near.place,
        at_text=at,
        off=off,
        off_text=words.off(off),
    )


def _line_name(setup: Run, feature: int) -> str:
    label = setup.walk[feature].label if feature < len(setup.walk) else ""
    return f"line {feature + 1} ({label})" if label else f"line {feature + 1}"


def _legs_off(one: RackPipe, other: RackPipe) -> float:
    """The most by which the middle of any leg lies nearer or further than planned, once the marks
    are rounded; legs within a bend in shots are no legs."""
    worst = 0.0
    legs = list(zip(_legs(one), _legs(other), strict=False))
    if not (one.comes_out_as and other.comes_out_as):
        return worst
    for (a, b), (c, d) in legs:
        planned = _apart(one.path[a], one.path[b], other.path[c], other.path[d])
        made = _apart(
            one.comes_out_as[a], one.comes_out_as[b], other.comes_out_as[c], other.comes_out_as[d]
        )
        if abs(made - planned) > abs(worst):
            worst = made - planned
    return worst


def _legs(pipe: RackPipe) -> list[tuple[int, int]]:
    """The vertices that each leg runs between, but for the flats between shots."""
    inside = {
        bend.vertex
        for bend, after in pairwise(pipe.bends)
        if bend.role == after.role == SHOT and bend.feature == after.feature
    }
    return [(n, n + 1) for n in range(len(pipe.path) - 1) if n not in inside]


def _apart(begins: Vector, ends: Vector, other_begins: Vector, other_ends: Vector) -> float:
    """How far the middle of one leg lies from the line of another."""
    way = subtract(ends, begins)
    middle = along(other_begins, subtract(other_ends, other_begins), 0.5)
    return length(cross(subtract(middle, begins), way)) / (length(way) or 1.0)


def _no_leg(line: _Line, words: Words) -> Finding:
    leg = line.problem.index if line.problem else 0
    where = _line_name(line.run, line.owners[leg][0])
    return Finding(
        "error",
        "rack-leg-gone",
        f"Pipe {line.pipe + 1} has no leg left before {where}: at {words.length(line.offset)} from "
        f"the first one it turns before it has begun. {_FREES}",
        path="rack.spacing",
    )


_FREES = "Set the pipes closer, have fewer of them, or put the rack on the other side."


def _named(pipe: RackPipe) -> list[Finding]:
    """The pipe's errors, with its number: what holds for one pipe stops the rack."""
    return [
        replace(
            finding,
            code="rack-pipe-cannot-be-made",
            text=f"Pipe {pipe.pipe + 1} can't be bent as it lies: "
            f"{finding.text.partition('. ')[0].rstrip('.')}. {_FREES}",
            path="rack",
            remedy=None,
        )
        for finding in pipe.findings
        if finding.level == "error"
    ][:1]


def _touching(gaps: Sequence[Gap], rack: Rack, words: Words) -> list[Finding]:
    """Where pipes would cut into each other: the worst of them, and the spacing that frees all."""
    met = [gap for gap in gaps if gap.air < -_HAIR]
    if not met:
        return []
    worst = min(met, key=lambda gap: gap.air)
    more = f", and {len(met) - 1} more pairs," if len(met) > 1 else ""
    wider = words.reading(words.up(rack.spacing - worst.air))
    return [
        Finding(
            "error",
            "pipes-touch",
            f"Pipes {worst.pipe + 1} and {worst.pipe + 2}{more} would cut "
            f"{words.at_least(-worst.air)} into each other along {worst.at_text}: space them "
            f"{words.at_least(-worst.air)} wider.",
            path="rack.spacing",
            remedy=Remedy(f"Space them {wider}", "rack.spacing", wider),
        )
    ]


def _errors(plan: Plan) -> list[Finding]:
    return [finding for finding in plan.findings if finding.level == "error"]


def _rack_plan(
    setup: Run,
    rack: Rack,
    pipes: tuple[RackPipe, ...],
    gaps: tuple[Gap, ...],
    findings: list[Finding],
) -> RackPlan:
    return RackPlan(
        format="yarrow.rack-plan/1",
        units=setup.unit,
        name=setup.name,
        side=rack.side,
        between=rack.between,
        corners=rack.corners,
        pipes=pipes,
        gaps=gaps,
        findings=tuple(findings),
    )
