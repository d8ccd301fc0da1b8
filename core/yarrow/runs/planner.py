"""From a run to its plan: lay out, develop, place the bender, mark, fold back, judge."""

from __future__ import annotations

from yarrow.benders.placing import place_bender
from yarrow.catalog.tables import limits
from yarrow.geometry.arcs import gain
from yarrow.geometry.errors import GeometryError
from yarrow.geometry.pipe import OUT, StraightPipe, develop
from yarrow.measure.rounding import round_to
from yarrow.measure.units import convert
from yarrow.runs.findings.arcs import arc_findings
from yarrow.runs.findings.draft import Draft
from yarrow.runs.findings.order import order_findings
from yarrow.runs.findings.rules import (
    allowance_findings,
    degree_findings,
    slip_findings,
    stick_findings,
    table_findings,
)
from yarrow.runs.findings.tool import bender_findings, radius_findings, room_findings
from yarrow.runs.layout import Layout, lay_out
from yarrow.runs.marks import exact_marks, rule_marks
from yarrow.runs.outcome import comes_out
from yarrow.runs.plan import (
    Beside,
    Dimension,
    Finding,
    Mark,
    Plan,
    PlannedBend,
    PlannedBender,
    PlannedConduit,
    Step,
    Totals,
)
from yarrow.runs.rule import by_rule
from yarrow.runs.run import Run
from yarrow.runs.site import site_dimensions, things
from yarrow.runs.steps import steps
from yarrow.runs.words import Words

_GRAVEST_FIRST = {"error": 0, "warning": 1, "note": 2}


def plan_run(run: Run) -> Plan:
    """The plan of a run. What can't be made is a plan with an error finding, and without marks.

    Source: docs/geometry.md.
    """
    words = Words(run.unit, run.round_to)
    layout = lay_out(run)
    findings = [
        *bender_findings(run),
        *radius_findings(run, words),
        *slip_findings(run, words),
        *allowance_findings(run, words),
        *table_findings(run),
    ]
    disorder = order_findings(run, layout, words)
    pipe = None if disorder else _developed(layout, findings)
    if pipe is None:
        return _plan(run, layout, _NO_PIPE, (), (), (), None, [*findings, *disorder], words)

    placings = place_bender(run.bender, pipe)
    overlaps = arc_findings(Draft(run, layout, pipe, placings, (), words))
    exact = exact_marks(run, pipe, placings)
    draft = Draft(run, layout, pipe, placings, exact, words)
    findings += overlaps or room_findings(draft)
    findings += [*degree_findings(draft), *stick_findings(draft)]
    if any(finding.level == "error" for finding in findings):
        return _plan(run, layout, pipe, (), (), (), None, findings, words)

    dimensions = comes_out(run, layout, pipe, exact, _cut(run, pipe.cut_length), words)
    marks, cut_length, beside = exact, pipe.cut_length, None
    if run.method == "table" and run.walk:
        spots, cut_length = by_rule(run, layout)
        marks = rule_marks(run, pipe, placings, spots)
        text = _cut_text(run, pipe.cut_length)
        beside = Beside("exact", pipe.cut_length, text, exact, dimensions)
        dimensions = comes_out(run, layout, pipe, marks, _cut(run, cut_length), words)
    work = steps(pipe, marks, _cut_text(run, cut_length), words)
    return _plan(run, layout, pipe, marks, work, dimensions, beside, findings, words, cut_length)


_NO_PIPE = StraightPipe(0.0, (), (), (), (1.0, 0.0, 0.0), OUT)


def _developed(layout: Layout, findings: list[Finding]) -> StraightPipe | None:
    """The straight pipe; None, and an error among the findings, where the corners have none."""
    try:
        return develop(layout.vertices, layout.pipe.radius)
    except GeometryError as error:
        texts = {
            "repeated-point": "Two points of the path are the same. Take one of them out.",
            "folds-back": "The path turns back on itself, which no bend can do. Move this point.",
        }
        path = "walk" if layout.lines else f"path[{error.index}]"
        findings.append(Finding("error", error.code, texts[error.code], path=path))
        return None


def _plan(
    run: Run,
    layout: Layout,
    pipe: StraightPipe,
    marks: tuple[Mark, ...],
    work: tuple[Step, ...],
    dimensions: tuple[Dimension, ...],
    beside: Beside | None,
    findings: list[Finding],
    words: Words,
    cut_length: float | None = None,
) -> Plan:
    cut = max(pipe.cut_length if cut_length is None else cut_length, 0.0)
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
            run.bender.id, run.bender.name, run.bender.kind, run.bender.radius, run.bender.take_up
        ),
        cut_length=cut,
        cut_length_text=_cut_text(run, cut) if pipe.straights else "",
        path=layout.vertices,
        first_toward=pipe.first_toward,
        bends=_bends(layout, pipe),
        marks=marks,
        steps=work,
        totals=_totals(run, layout, pipe),
        dimensions=dimensions,
        beside=beside,
        site=site_dimensions(layout, words),
        things=things(run, layout),
        worked=run.worked,
        findings=tuple(sorted(findings, key=lambda f: _GRAVEST_FIRST[f.level])),
    )


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
    saved = sum(
        gain(bend.radius, bend.angle)
        for bend, corner in zip(pipe.bends, pipe.corners, strict=True)
        if layout.owners[corner - 1][1] in ("turn", "corner")
    )
    return Totals(
        bend_degrees=sum(bend.angle for bend in pipe.bends),
        limit_degrees=float(limits()["bends_between_pull_points"]["degrees"]),
        shrink=sum(line.shrink(run.bender.radius) for line in run.walk),
        gain=saved,
    )


def _cut(run: Run, cut_length: float) -> float:
    return round_to(cut_length, run.round_to, run.unit).value


def _cut_text(run: Run, cut_length: float) -> str:
    return round_to(cut_length, run.round_to, run.unit, feet=True).text
