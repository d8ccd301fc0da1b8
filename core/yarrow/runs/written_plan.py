"""A plan in the names of ``yarrow.plan/1``: what a person, a page and a sheet read off."""

from __future__ import annotations

import math

from yarrow.fill.pull_points import USUAL_DEGREES
from yarrow.findings.finding import gravest_first
from yarrow.geometry.arcs import gain
from yarrow.geometry.pipe import OUT, StraightPipe
from yarrow.measure.units import convert
from yarrow.runs.expecting.expectation import NOTHING_EXPECTED, expect
from yarrow.runs.layout.arcs import arcs_to_draw
from yarrow.runs.layout.site import site_dimensions, things
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.plan import (
    MarkedPipe,
    PlannedBend,
    PlannedBender,
    PlannedConduit,
    Totals,
    WrittenPlan,
)
from yarrow.runs.model.run import ResolvedRun
from yarrow.runs.stages import BuildablePlan, Plan


def write_plan(plan: Plan) -> WrittenPlan:
    """A plan as it is answered.

    Args:
        plan: that can be made or not; of one that can't, the marks only tell where the arcs would
            have to lie.

    Source:
        docs/run-file.md.
    """
    resolution, layout = plan.resolution, plan.layout
    run, survey = resolution.run, resolution.survey
    built = plan if isinstance(plan, BuildablePlan) else None
    pipe = plan.placed.pipe if plan.placed else None
    marked = built.marked if built else _where_arcs_would_lie(plan)
    expectation = expect(built) if built else NOTHING_EXPECTED
    return WrittenPlan(
        format="yarrow.plan/1",
        units=run.unit,
        name=run.name,
        method=run.method,
        marking=run.marking,
        round_to=str(run.round_to),
        conduit=_planned_conduit(run),
        bender=_planned_bender(run),
        cut_length=max(marked.cut_length, 0.0),
        cut_length_text=run.lengths.cut(marked.cut_length) if pipe else "",
        path=layout.vertices,
        arcs=arcs_to_draw(layout.vertices, run.bender.radius) if pipe else (),
        first_toward=pipe.first_toward if pipe else OUT,
        bends=_planned_bends(layout, pipe) if pipe else (),
        marks=marked.marks,
        finding_marks=built.finding_marks if built else (),
        working=built.working if built else (),
        steps=built.steps if built else (),
        totals=_totals(run, layout, pipe),
        dimensions=marked.dimensions,
        expected=expectation.dimensions,
        to_expect=expectation.said,
        beside=built.other_method if built else None,
        site=site_dimensions(layout, survey.features, resolution.run),
        things=things(run, layout, survey.features),
        comes_out_as=marked.path,
        comes_out_arcs=marked.arcs,
        choices=resolution.choices,
        solved=resolution.solved,
        wires=plan.wires,
        worked=run.worked,
        findings=gravest_first(plan.findings),
    )


def _where_arcs_would_lie(plan: Plan) -> MarkedPipe:
    """Worth seeing; how to work them, or a wrong shoe's, is not."""
    placed = plan.placed
    if placed is None:
        return MarkedPipe("exact", 0.0, "", (), (), (), ())
    shown = placed.marks if placed.run.bender_fits else ()
    return MarkedPipe("exact", placed.pipe.cut_length, "", shown, (), (), ())


def _planned_conduit(run: ResolvedRun) -> PlannedConduit:
    conduit = run.conduit
    return PlannedConduit(
        conduit.type,
        conduit.size,
        conduit.name,
        float(convert(conduit.diameter, conduit.unit, run.unit)),
        float(convert(conduit.stick, conduit.unit, run.unit)),
    )


def _planned_bender(run: ResolvedRun) -> PlannedBender:
    bender = run.bender
    return PlannedBender(
        bender.id,
        bender.name,
        bender.kind,
        bender.way,
        bender.radius,
        bender.take_up,
        bender.least_stub,
        bender.springback.typical,
    )


def _planned_bends(layout: Layout, pipe: StraightPipe) -> tuple[PlannedBend, ...]:
    return tuple(
        PlannedBend(
            *layout.owners[corner - 1],
            round(bend.angle, 9),
            round(bend.roll, 9),
            bend.radius,
            bend.arc_start,
            bend.arc_end,
            corner,
        )
        for bend, corner in zip(pipe.bends, pipe.corners, strict=True)
    )


def _totals(run: ResolvedRun, layout: Layout, pipe: StraightPipe | None) -> Totals:
    """Legs + shrink − gain = cut length, with the legs measured straight along the walk."""
    limit = run.most_degrees or USUAL_DEGREES
    if pipe is None:
        return Totals(0, limit, 0.0, 0)
    saved = math.fsum(
        gain(bend.radius, bend.angle)
        for bend, role in zip(pipe.bends, layout.roles_of(pipe), strict=True)
        if role.saves_pipe
    )
    return Totals(
        bend_degrees=math.fsum(bend.angle for bend in pipe.bends),
        limit_degrees=limit,
        shrink=pipe.cut_length + saved - _legs_length(layout) if layout.lines else 0.0,
        gain=saved,
    )


def _legs_length(layout: Layout) -> float:
    """The walk, straight along its legs from the pipe's start to its end."""
    total, leg, reached = -layout.pipe.begins, 0, 0.0
    for item in layout.lines:
        if item.leg.number != leg:
            total, leg = total + reached, item.leg.number
        reached = item.laid.ends
    return total + reached
