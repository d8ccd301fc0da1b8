"""From a run to its plan: lay out, develop, place the bender, mark, fold back, judge."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from yarrow.benders.bender import Hook
from yarrow.benders.placing import making_order, place_bender
from yarrow.fill.pull_points import USUAL_DEGREES, pull_points
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, errors_of, gravest_first, nothing_wrong
from yarrow.geometry.arcs import gain
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import OUT, StraightPipe, develop
from yarrow.measure.rounding import round_to
from yarrow.measure.units import convert
from yarrow.role import Role
from yarrow.runs.choosing import choose
from yarrow.runs.findings.arcs import arc_findings
from yarrow.runs.findings.draft import Draft
from yarrow.runs.findings.order import order_findings
from yarrow.runs.findings.rules import (
    allowance_findings,
    degree_findings,
    kind_findings,
    notch_findings,
    picked_order_findings,
    slip_findings,
    stand_off_findings,
    stick_findings,
    table_findings,
)
from yarrow.runs.findings.tool import bender_findings, radius_findings, room_findings
from yarrow.runs.layout import Layout, lay_out
from yarrow.runs.marks import exact_marks, pipe_by_marks, rule_marks
from yarrow.runs.meeting import meet
from yarrow.runs.outcome import comes_out
from yarrow.runs.plan import (
    Beside,
    Choice,
    Mark,
    Plan,
    PlannedBend,
    PlannedBender,
    PlannedConduit,
    Solved,
    Step,
    Totals,
    Working,
)
from yarrow.runs.rule import by_rule
from yarrow.runs.run import Method, Run, Survey
from yarrow.runs.site import site_dimensions, things
from yarrow.runs.steps import Piece, steps
from yarrow.runs.wires import PlannedWires, bends_on, plan_wires, right_angles, wire_findings
from yarrow.runs.working import working
from yarrow.wording.lengths import LengthFormatter
from yarrow.wording.phrase import Phrase


def plan_run(survey: Survey) -> Plan:
    """The plan of a run, with bends to everything that was met. What can't be made is a plan with
    an error finding, and without steps.

    Source: docs/geometry.md.
    """
    return plan_asked(ask(survey))


@dataclass(frozen=True, slots=True)
class Asked:
    """A run with bends to everything, its loose numbers where they meet, how it came by them, and
    what there is to say about that."""

    survey: Survey
    run: Run
    choices: tuple[Choice, ...]
    solved: tuple[Solved, ...]
    findings: tuple[Finding, ...]
    words: LengthFormatter


def ask(survey: Survey) -> Asked:
    """Bends for what was met, then the loose numbers of a run whose ends are both fixed."""
    words = LengthFormatter(survey.setup.unit, survey.setup.round_to)
    chosen = choose(survey, words)
    if survey.meet is None:
        return Asked(survey, chosen.run, chosen.choices, (), chosen.findings, words)
    met = meet(chosen.run, survey.meet, words)
    findings = (*chosen.findings, *met.findings)
    return Asked(survey, met.run, chosen.choices, met.solved, findings, words)


@dataclass(frozen=True, slots=True)
class PieceInBrief:
    """What a list of runs says of one: its cut length as it is read off a tape (empty where no pipe
    comes of it), and the right angles that a pull meets (0 where there is no wire to pull)."""

    cut_length_text: str
    right_angles: int


def in_brief(survey: Survey) -> PieceInBrief:
    """A run's cut length and right angles, those of its plan, in half the time of that."""
    asked = ask(survey)
    run = asked.run
    if run.method == "table":
        # A printed cut holds where the piece can be made by it: that takes the whole plan.
        plan = plan_asked(asked)
        return PieceInBrief(plan.cut_length_text, plan.wires.bends if plan.wires else 0)
    layout, pipe, _ = _straight_pipe(asked)
    if pipe is None or not pipe.straights:
        return PieceInBrief("", 0)
    angles = right_angles(pipe, _features(layout, pipe)) if run.wires else 0
    return PieceInBrief(_cut_text(run, pipe.cut_length), angles)


def _straight_pipe(asked: Asked) -> tuple[Layout, StraightPipe | None, list[Finding]]:
    """A run's pipe before any bend; None, and why among the findings, where it has none."""
    run, words = asked.run, asked.words
    layout = lay_out(run)
    findings = [
        *asked.findings,
        *bender_findings(run),
        *radius_findings(run, words),
        *slip_findings(run, words),
        *allowance_findings(run, words),
        *table_findings(run),
    ]
    held_off = stand_off_findings(run, layout, words)
    findings += [finding for finding in held_off if finding.level != "error"]
    carried = errors_of(held_off)
    disorder = carried or order_findings(run, layout, words)
    pipe = None if disorder else _developed(layout, findings)
    return layout, pipe, [*findings, *disorder]


def plan_asked(asked: Asked) -> Plan:
    """The plan of a run that has bends to everything. Source: docs/geometry.md."""
    run, words = asked.run, asked.words
    layout, pipe, findings = _straight_pipe(asked)
    if pipe is None:
        nothing = Beside(run.method, 0.0, "", (), (), ())
        return _plan(asked, layout, _NO_PIPE, nothing, (), (), None, findings)

    roles = [layout.owners[corner - 1][1] for corner in pipe.corners]
    order, hooks = run_order(run, roles)
    placings = place_bender(run.bender, pipe, roles, order, hooks)
    findings += picked_order_findings(run, len(roles))
    exact = exact_marks(run, pipe, placings)
    draft = Draft(run, layout, pipe, placings, exact, words)
    overlaps = arc_findings(draft)
    made = None if overlaps else _exact(draft)
    beside = _printed(draft) if run.walk and run.bender_fits else None
    if run.method == "table" and beside is not None:
        beside, made = made, beside
        if made and made.path:
            # The printed spacing leaves the arcs apart: a pipe comes out, though not this one.
            still = Phrase("printed-marks-can-be-made")
            overlaps = [replace(finding, still=still) for finding in overlaps]
    findings += overlaps or room_findings(draft)
    findings += kind_findings(draft)
    findings += [*degree_findings(draft), *stick_findings(draft), *notch_findings(draft)]
    if made is None or not nothing_wrong(findings):
        # Where the arcs would lie is worth seeing; how to work them, or a wrong shoe's, is not.
        shown = exact if run.bender_fits else ()
        unmade = Beside("exact", pipe.cut_length, "", shown, (), ())
        return _plan(asked, layout, pipe, unmade, (), (), None, findings)
    worked = pipe
    if made.method == "table":
        worked = pipe_by_marks(run.bender, pipe, made.marks, made.cut_length)
    rows = working(run, worked, roles, made.marks, words)
    piece = Piece(run.bender, worked, tuple(roles), made.cut_length_text, words)
    work = steps(piece, made.marks, rows, order)
    return _plan(asked, layout, pipe, made, rows, work, beside, findings)


def run_order(run: Run, roles: Sequence[Role]) -> tuple[tuple[int, ...], tuple[Hook, ...]]:
    """The sequence that a run's marks are made for, and its hooks where a person picked them: the
    picked one, where it names every bend once and the marks are not printed ones; else the usual.
    """
    if picked_order_findings(run, len(roles)) or not run.order:
        return making_order(roles), ()
    return tuple(each.bend for each in run.order), tuple(each.hook for each in run.order)


def _exact(draft: Draft) -> Beside:
    """The run by the exact geometry: its marks, its cut, and what they come out as."""
    return _made(draft, "exact", draft.marks, draft.pipe.cut_length)


def _printed(draft: Draft) -> Beside:
    """The run by printed multipliers and shrink."""
    work = by_rule(draft.layout, draft.pipe)
    marks = rule_marks(draft.run, draft.pipe, draft.placings, work)
    return _made(draft, "table", marks, work.cut_length)


def _made(draft: Draft, method: Method, marks: tuple[Mark, ...], cut_length: float) -> Beside:
    run = draft.run
    cut = round_to(cut_length, run.round_to, run.unit, feet=True)
    out = comes_out(run, draft.layout, draft.pipe, marks, cut.value, draft.words)
    return Beside(method, cut_length, cut.text, marks, out.dimensions, out.path)


_NO_PIPE = StraightPipe(0.0, (), (), (), (1.0, 0.0, 0.0), OUT)


def _developed(layout: Layout, findings: list[Finding]) -> StraightPipe | None:
    """The straight pipe; None, and an error among the findings, where the corners have none."""
    try:
        return develop(layout.vertices, layout.pipe.radius)
    except GeometryError as error:
        path = "walk" if layout.lines else f"path[{error.index}]"
        findings.append(Finding(FindingCode(error.code), path=path))
        return None


def _plan(
    asked: Asked,
    layout: Layout,
    pipe: StraightPipe,
    made: Beside,
    rows: tuple[Working, ...],
    work: tuple[Step, ...],
    beside: Beside | None,
    findings: list[Finding],
) -> Plan:
    run, words = asked.run, asked.words
    wires = _wires(run, layout, pipe, words)
    findings = [*findings, *(wire_findings(wires) if wires else [])]
    cut_length = max(made.cut_length, 0.0)
    conduit = run.conduit
    return Plan(
        format="yarrow.plan/1",
        units=run.unit,
        name=run.name,
        method=run.method,
        round_to=str(run.round_to),
        conduit=PlannedConduit(
            conduit.type,
            conduit.size,
            conduit.name,
            float(convert(conduit.diameter, conduit.unit, run.unit)),
            float(convert(conduit.stick, conduit.unit, run.unit)),
        ),
        bender=PlannedBender(
            run.bender.id,
            run.bender.name,
            run.bender.kind,
            run.bender.way,
            run.bender.radius,
            run.bender.take_up,
            run.bender.least_stub,
            run.bender.springback.typical,
        ),
        cut_length=cut_length,
        cut_length_text=_cut_text(run, cut_length) if pipe.straights else "",
        path=layout.vertices,
        first_toward=pipe.first_toward,
        bends=_bends(layout, pipe),
        marks=made.marks,
        working=rows,
        steps=work,
        totals=_totals(run, layout, pipe),
        dimensions=made.dimensions,
        beside=beside,
        site=site_dimensions(layout, asked.survey.said, words),
        things=things(run, layout, asked.survey.said),
        comes_out_as=made.path,
        choices=asked.choices,
        solved=asked.solved,
        wires=wires,
        worked=run.worked,
        findings=gravest_first(findings),
    )


def _cut_text(run: Run, cut_length: float) -> str:
    return round_to(max(cut_length, 0.0), run.round_to, run.unit, feet=True).text


def _wires(
    run: Run, layout: Layout, pipe: StraightPipe, words: LengthFormatter
) -> PlannedWires | None:
    """The check of the run's wire; None where there is none, or no pipe to draw it into."""
    if run.wires is None or not pipe.straights:
        return None
    points = pull_points(bends_on(pipe), run.most_degrees)
    features = _features(layout, pipe)
    return plan_wires(run.wires, run.unit, pipe, layout.vertices, features, points, words)


def _features(layout: Layout, pipe: StraightPipe) -> list[int]:
    """The line of the walk that each bend belongs to."""
    return [layout.owners[corner - 1][0] for corner in pipe.corners]


def _bends(layout: Layout, pipe: StraightPipe) -> tuple[PlannedBend, ...]:
    found = []
    for bend, corner in zip(pipe.bends, pipe.corners, strict=True):
        feature, role = layout.owners[corner - 1]
        found.append(
            PlannedBend(
                feature,
                role,
                round(bend.angle, 9),
                round(bend.roll, 9),
                bend.radius,
                bend.arc_start,
                bend.arc_end,
                corner,
            )
        )
    return tuple(found)


def _totals(run: Run, layout: Layout, pipe: StraightPipe) -> Totals:
    """Legs + shrink − gain = cut length, with the legs measured straight along the walk."""
    saved = sum(
        gain(bend.radius, bend.angle)
        for bend, corner in zip(pipe.bends, pipe.corners, strict=True)
        if layout.owners[corner - 1][1].saves_pipe
    )
    return Totals(
        bend_degrees=sum(bend.angle for bend in pipe.bends),
        limit_degrees=run.most_degrees or USUAL_DEGREES,
        shrink=pipe.cut_length + saved - _legs(layout) if layout.lines and pipe.straights else 0.0,
        gain=saved,
    )


def _legs(layout: Layout) -> float:
    """The walk, straight along its legs from the pipe's start to its end."""
    total, leg, reached = -layout.pipe.begins, 0, 0.0
    for item in layout.lines:
        if item.leg.number != leg:
            total, leg = total + reached, item.leg.number
        reached = item.laid.ends
    return total + reached
