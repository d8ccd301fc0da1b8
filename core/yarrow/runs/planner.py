"""From a run to its plan, stage by stage: resolve, straighten, place the bender, mark, check."""

from __future__ import annotations

from collections.abc import Sequence
from fractions import Fraction

from yarrow.bend_simulation.order import NO_BENDS, Order
from yarrow.bend_simulation.orders import Hooked, as_given, best_order, unsearched
from yarrow.bend_simulation.piece import Piece
from yarrow.fill.pull_points import pull_points
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, errors_of, nothing_wrong
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import StraightPipe, develop
from yarrow.geometry.vectors import Vector
from yarrow.measure.rounding import round_to
from yarrow.role import Role
from yarrow.runs.checks.arcs import arc_findings
from yarrow.runs.checks.order import order_findings
from yarrow.runs.checks.placed_pipe import PlacedPipe
from yarrow.runs.checks.rules import (
    allowance_findings,
    degree_findings,
    kind_findings,
    notch_findings,
    picked_order_findings,
    slip_findings,
    stand_off_findings,
    stick_findings,
    stick_of,
    table_findings,
)
from yarrow.runs.checks.tool import (
    bender_findings,
    radius_findings,
    room_findings,
    stance_findings,
)
from yarrow.runs.checks.wires import bends_on, plan_wires, right_angles, wire_findings
from yarrow.runs.closure import close_run
from yarrow.runs.instructions.steps import PieceToBend, steps
from yarrow.runs.layout.arcs import arcs_to_draw
from yarrow.runs.layout.walk import Layout, lay_out
from yarrow.runs.marking.as_bent import predict_as_bent
from yarrow.runs.marking.finding_marks import finding_marks, first_end
from yarrow.runs.marking.marks import exact_marks, pipe_by_marks, rule_marks
from yarrow.runs.marking.printed_rule import by_rule
from yarrow.runs.marking.working import working
from yarrow.runs.model.plan import FoundMark, Mark, MarkedPipe, Working
from yarrow.runs.model.run import MarkingMethod, ResolvedRun, Survey
from yarrow.runs.model.wires import PlannedWires
from yarrow.runs.selection.choosing import choose
from yarrow.runs.stages import (
    BuildablePlan,
    Disorder,
    Plan,
    Resolution,
    StraightenedRun,
    UnbuildablePlan,
)
from yarrow.values import dataclass, replace
from yarrow.wording.phrase import Phrase, Shown, count

MOST_SIMULATED = 30
"""Bends of a piece whose handling is simulated: more than any stick takes, few enough to be
answered within two seconds."""


MOST_BENDS = 150
"""Bends of one run: more than any has between its boxes, few enough to be answered at once."""


def plan_run(survey: Survey) -> Plan:
    """The plan of a run, with bends to everything that was met.

    Args:
        survey: the run as it was read.

    Source:
        docs/geometry.md.
    """
    return plan_resolved(resolve_run(survey))


def resolve_run(survey: Survey) -> Resolution:
    """Bends for what was met, then the loose numbers of a run whose ends are both fixed.

    Args:
        survey: the run as it was read.
    """
    chosen = choose(survey)
    if survey.meet is None:
        return Resolution(survey, chosen.run, chosen.choices, (), chosen.findings)
    closed = close_run(chosen.run, survey.meet)
    findings = (*chosen.findings, *closed.findings)
    return Resolution(survey, closed.run, chosen.choices, closed.solved, findings)


def plan_resolved(
    resolution: Resolution, *, by_habit: bool = False, most_bends: int = MOST_BENDS
) -> Plan:
    """The plan of a run that has bends to everything.

    Args:
        resolution: the run, and how it came by its bends.
        by_habit: no order of its bends is looked for.
        most_bends: that it may have.

    Source:
        docs/geometry.md.
    """
    straight = straighten(resolution, most_bends)
    if isinstance(straight, Disorder):
        return UnbuildablePlan(resolution, straight.layout, None, None, straight.findings)
    placed = place(resolution, straight, by_habit=by_habit)
    overlaps = arc_findings(placed)
    marked, other_method = mark(placed, apart=not overlaps)
    if resolution.run.method == "table" and marked and marked.path:
        # The printed spacing leaves the arcs apart: a pipe comes out, though not this one.
        still = Phrase("printed-marks-can-be-made")
        overlaps = [replace(finding, still=still) for finding in overlaps]
    findings = (*straight.findings, *check(placed, overlaps))
    wires = _check_wires(placed)
    result = (*findings, *(wire_findings(wires) if wires else ()))
    if marked is None or not nothing_wrong(findings):
        return UnbuildablePlan(resolution, straight.layout, placed, wires, result)
    rows, piece = _at_the_bender(placed, marked)
    found = find_marks(placed, piece, marked.marks, placed.order, marked.cut_length)
    return BuildablePlan(
        resolution=resolution,
        layout=straight.layout,
        placed=placed,
        marked=marked,
        finding_marks=found,
        working=rows,
        steps=steps(piece, marked.marks, found, rows, placed.order.bends),
        other_method=other_method,
        wires=wires,
        findings=result,
    )


def plan_path(
    run: ResolvedRun,
    vertices: Sequence[Vector],
    owners: tuple[tuple[int, Role], ...],
    *,
    by_habit: bool = False,
) -> Plan:
    """The plan of a pipe whose vertices are known.

    Args:
        run: for all but its walk.
        vertices: of the pipe, with both ends, in the run's unit.
        owners: the line and part of each corner.
        by_habit: as for plan_resolved.
    """
    path = tuple((Fraction(x), Fraction(y), Fraction(z)) for x, y, z in vertices)
    laid = replace(run, path=path, corners=owners)
    resolution = Resolution(Survey(laid, ()), laid, (), (), ())
    # Bends in shots are many, and their pipe's own most has been looked at.
    return plan_resolved(resolution, by_habit=by_habit, most_bends=len(vertices))


def straighten(resolution: Resolution, most_bends: int = MOST_BENDS) -> StraightenedRun | Disorder:
    """A run's pipe before any bend, with what there is to say of the run as it was written.

    Args:
        resolution: the run, and how it came by its bends.
        most_bends: that it may have.
    """
    run = resolution.run
    layout = lay_out(run)
    held_off = stand_off_findings(run, layout)
    carried = errors_of(held_off)
    findings = (
        *resolution.findings,
        *bender_findings(run),
        *stance_findings(run),
        *radius_findings(run),
        *slip_findings(run),
        *allowance_findings(run),
        *table_findings(run),
        *(finding for finding in held_off if finding.level != "error"),
    )
    disorder = carried or order_findings(run, layout)
    if disorder:
        return Disorder(layout, (*findings, *disorder))
    try:
        pipe = develop(layout.vertices, layout.pipe.radius)
    except GeometryError as error:
        path = "walk" if layout.lines else f"path[{error.index}]"
        return Disorder(layout, (*findings, Finding(FindingCode(error.code), path=path)))
    if len(pipe.bends) > most_bends:
        values = {"bends": count(len(pipe.bends)), "most": count(most_bends)}
        path = "walk" if layout.lines else "path"
        too_many = Finding(FindingCode.TOO_MANY_BENDS, values, path=path)
        return Disorder(layout, (*findings, too_many))
    return StraightenedRun(layout, pipe, findings)


def place(
    resolution: Resolution, straight: StraightenedRun, *, by_habit: bool = False
) -> PlacedPipe:
    """The bender on each bend, in the order that the marks are made for, and the exact marks.

    Args:
        resolution: the run, and how it came by its bends.
        straight: its pipe before any bend.
        by_habit: no order of its bends is looked for.
    """
    run, layout, pipe = resolution.run, straight.layout, straight.pipe
    order = run_order(run, layout, pipe, by_habit=by_habit) if pipe.bends else NO_BENDS
    marks = exact_marks(run, pipe, order.placings)
    return PlacedPipe(run, layout, pipe, order, order.placings, marks)


def run_order(
    run: ResolvedRun, layout: Layout, pipe: StraightPipe, *, by_habit: bool = False
) -> Order:
    """The order that a run's marks are made for: the picked one, where it names every bend once and
    the marks are not printed ones; else as a good hand would. What can't be made in one piece, or
    is too much to simulate, goes by habit along the pipe.

    Args:
        run: for its method and what was picked.
        layout: its walk.
        pipe: straightened, with at least one bend.
        by_habit: nothing is looked for.
    """
    piece = piece_of(run, layout, pipe)
    bends = len(pipe.bends)
    picked: Hooked = ()
    if not picked_order_findings(run, bends):
        picked = tuple((ordered.bend, ordered.hook) for ordered in run.order)
    by_habit = (
        by_habit
        or bends > MOST_SIMULATED
        or Role.SEGMENT in piece.roles
        or min(pipe.straights) < 0
        or pipe.cut_length > stick_of(run)
        or (run.joints is not None and run.joints.places is not None)
    )
    if by_habit:
        return unsearched(piece, picked)
    if picked:
        return as_given(piece, picked)
    return best_order(piece, _printed_hooks(run, layout, pipe))


def piece_of(run: ResolvedRun, layout: Layout, pipe: StraightPipe) -> Piece:
    """A run's piece, as it is handled.

    Args:
        run, layout, pipe: as for run_order.
    """
    roles, lines = layout.roles_of(pipe), layout.features_of(pipe)
    return Piece(run.bender, run.stances, pipe, roles, lines, run.unit)


def _printed_hooks(run: ResolvedRun, layout: Layout, pipe: StraightPipe) -> Hooked:
    """The hooks that printed marks are made for."""
    if run.method != "table" or not run.walk:
        return ()
    spots = enumerate(by_rule(layout, pipe).spots)
    return tuple((bend, spot.hook) for bend, spot in spots if spot is not None)


def mark(placed: PlacedPipe, *, apart: bool) -> tuple[MarkedPipe | None, MarkedPipe | None]:
    """The pipe by the method that was asked for, and by the other one; None where a method has no
    marks for it.

    Args:
        placed: the bender on each bend.
        apart: whether the exact arcs leave each other room.
    """
    run = placed.run
    exact = _marked(placed, "exact", placed.marks, placed.pipe.cut_length) if apart else None
    if not (run.walk and run.bender_fits):
        return exact, None
    work = by_rule(placed.layout, placed.pipe)
    marks = rule_marks(run, placed.pipe, placed.placings, work)
    printed = _marked(placed, "table", marks, work.cut_length)
    return (printed, exact) if run.method == "table" else (exact, printed)


def check(placed: PlacedPipe, overlaps: Sequence[Finding]) -> tuple[Finding, ...]:
    """What there is to say of a pipe with the bender on each of its bends.

    Args:
        placed: the bender on each bend.
        overlaps: errors for arcs that lie over each other; then nothing is said of the room that
            the bender has between them.
    """
    return (
        *picked_order_findings(placed.run, len(placed.placings)),
        *(overlaps or room_findings(placed)),
        *kind_findings(placed),
        *degree_findings(placed),
        *stick_findings(placed),
        *notch_findings(placed),
    )


def _marked(
    placed: PlacedPipe, method: MarkingMethod, marks: tuple[Mark, ...], cut_length: float
) -> MarkedPipe:
    run = placed.run
    cut = round_to(cut_length, run.round_to, run.unit)
    out = predict_as_bent(run, placed.layout, placed.pipe, marks, cut.value)
    arcs = arcs_to_draw(out.path, run.bender.radius)
    return MarkedPipe(
        method, cut_length, run.lengths.cut(cut_length), marks, out.dimensions, out.path, arcs
    )


def _at_the_bender(
    placed: PlacedPipe, marked: MarkedPipe
) -> tuple[tuple[Working, ...], PieceToBend]:
    """How each bend is worked, and the piece as the marks make it."""
    pipe = placed.pipe
    if marked.method == "table":
        pipe = pipe_by_marks(placed.run.bender, pipe, marked.marks, marked.cut_length)
    piece = piece_to_bend(placed, pipe, marked.cut_length_text)
    sequence = [bend.bend for bend in placed.order.bends]
    rows = working(placed.run, pipe, piece.roles, marked.marks, sequence)
    return rows, piece


def piece_to_bend(placed: PlacedPipe, pipe: StraightPipe, cut_text: Shown) -> PieceToBend:
    """A run's piece with what its steps are told in.

    Args:
        placed: the bender on each bend.
        pipe: as the marks make it.
        cut_text: its cut, as the tape reads.
    """
    run, roles = placed.run, placed.layout.roles_of(placed.pipe)
    lines = placed.layout.features_of(placed.pipe)
    return PieceToBend(
        run.bender,
        run.stances,
        pipe,
        roles,
        lines,
        run.unit,
        cut_text,
        run.lengths,
        run.marking,
    )


def find_marks(
    placed: PlacedPipe,
    piece: PieceToBend,
    marks: Sequence[Mark],
    order: Order,
    cut_length: float,
) -> tuple[FoundMark, ...]:
    """Where the marks of an order are found on the piece as it is by then.

    Args:
        placed: for the run.
        piece: what is bent.
        marks: one a bend, in order along the pipe.
        order: that they are made in.
        cut_length: as the marks make it.
    """
    sequence = tuple(bend.bend for bend in order.bends)
    run = placed.run
    return finding_marks(
        piece,
        piece.words,
        marks,
        cut_length,
        sequence,
        first=first_end(sequence) if run.marking == "as-you-go" else "start",
        by_tape=run.method != "table",
    )


def _check_wires(placed: PlacedPipe) -> PlannedWires | None:
    """The check of the run's wire; None where there is none."""
    run, layout, pipe = placed.run, placed.layout, placed.pipe
    if run.wires is None:
        return None
    points = pull_points(bends_on(pipe), run.most_degrees)
    features = layout.features_of(pipe)
    return plan_wires(run.wires, run, pipe, layout.vertices, features, points)


@dataclass(frozen=True, slots=True)
class RunInBrief:
    """What a list of runs says of one: its cut length as it is read off a tape (empty where no pipe
    comes of it), and the right angles that a pull meets (0 where there is no wire to pull)."""

    cut_length_text: Shown
    right_angles: int


def summarise(survey: Survey) -> RunInBrief:
    """A run's cut length and right angles, those of its plan, in half the time of that.

    Args:
        survey: the run as it was read.
    """
    resolution = resolve_run(survey)
    straight = straighten(resolution)
    if isinstance(straight, Disorder):
        return RunInBrief("", 0)
    run, pipe = resolution.run, straight.pipe
    cut_length = pipe.cut_length
    if run.method == "table":
        # A printed cut holds where the piece can be made by it: that takes the whole plan.
        plan = plan_resolved(resolution)
        if isinstance(plan, BuildablePlan):
            cut_length = plan.marked.cut_length
    angles = right_angles(pipe, straight.layout.features_of(pipe)) if run.wires else 0
    return RunInBrief(run.lengths.cut(cut_length), angles)
