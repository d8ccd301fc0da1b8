"""From a run and its rack to every pipe's marks: side by side, in shots, next from last."""

from __future__ import annotations

from collections.abc import Sequence
from itertools import pairwise

from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, errors_of, gravest_first
from yarrow.racks.gaps import gap_between, touching
from yarrow.racks.pipe_paths import (
    FREES,
    RackPipePath,
    built_findings,
    no_leg,
    pipe_lines,
)
from yarrow.racks.rack_plan import Gap, RackPipe, RackPlan
from yarrow.racks.segment_bends import Wide, bends_of, in_segments, radii, segment_bend_of
from yarrow.runs.checks.tool import shot_radius_findings
from yarrow.runs.layout.arcs import arcs_to_draw
from yarrow.runs.layout.walk import lay_out
from yarrow.runs.model.run import OrderedBend, Rack, ResolvedRun, Survey
from yarrow.runs.planner import plan_path, plan_resolved, resolve_run
from yarrow.runs.written_plan import write_plan
from yarrow.values import replace
from yarrow.wording.phrase import Shown, count

MOST_BENDS = 2000
"""Bends of all pipes together, shots included: far more than any rack has, few enough to be
answered within a second or two."""


def plan_rack(survey: Survey) -> RackPlan:
    """Every pipe of a run's rack; a run without one is a rack of itself.

    The first pipe is the run. Each next one is laid beside the one before it, as that was built
    where it says so; its vertices are the parallel polyline's, so that legs and slopes keep the
    spacing. What can't be made is a pipe with an error finding, and the rack says which.

    Source:
        docs/pieces-and-walls.md, racks.
    """
    resolution = resolve_run(survey)
    rack = survey.rack or Rack(1, "left", 1.0, "centres", "same", 1.0, (), ())
    setup = resolution.run
    first = write_plan(plan_resolved(resolution))
    findings: list[Finding] = []
    if setup.method == "table":
        findings.append(Finding(FindingCode.RACK_IS_EXACT, path="method"))
    if first.cut_length <= 0:
        return _rack_plan(setup, rack, (), (), [*findings, *errors_of(first.findings)])
    layout = lay_out(setup)
    lines = pipe_lines(setup, rack, layout)
    laid = [line for line in lines if not line.problem]
    bent = [radii(line, laid, rack) for line in laid]
    bends = sum(bends_of(line, angles, rack) for line, angles in zip(laid, bent, strict=True))
    if bends > MOST_BENDS:
        findings.append(_too_large(bends))
        return _rack_plan(setup, rack, (), (), findings)
    findings += built_findings(rack, lines)
    pipes: list[RackPipe] = []
    # All of them are bent in one order, the first one's.
    order = setup.order
    for line, own in zip(laid, bent, strict=True):
        pipe, order = _pipe(rack, line, own, pipes[-1] if pipes else None, order)
        findings += _pipe_errors(pipe)
        pipes.append(pipe)
    findings += [no_leg(line) for line in lines[len(laid) :]]
    gaps = [gap_between(one, other, laid, bent, setup) for one, other in pairwise(pipes)]
    findings += touching(gaps, rack, setup)
    return _rack_plan(setup, rack, tuple(pipes), tuple(gaps), findings)


def _pipe(
    rack: Rack,
    line: RackPipePath,
    radii: Sequence[float],
    before: RackPipe | None,
    order: tuple[OrderedBend, ...],
) -> tuple[RackPipe, tuple[OrderedBend, ...]]:
    """A pipe, and the order that it is bent in."""
    vertices, owners, wide = in_segments(line, radii, rack)
    run = replace(line.run, order=order if not wide else ())
    planned = plan_path(run, vertices, owners)
    if planned.placed and not wide and not order:
        bends = planned.placed.order.bends
        order = tuple(OrderedBend(bend.bend, bend.placing.hook) for bend in bends)
    plan, words = write_plan(planned), run.lengths
    made = plan.working_marks
    moved: tuple[Shown, ...] = ()
    if before and len(before.marks) == len(made) and len(before.bends) == len(plan.bends):
        moved = tuple(
            words.off(mark.position - other.position)
            for mark, other in zip(made, before.marks, strict=True)
        )
    rack_pipe = RackPipe(
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
        arcs=arcs_to_draw(line.real, run.bender.radius) if line.real else plan.arcs,
        bends=plan.bends,
        marks=made,
        marking=plan.marking,
        finding_marks=plan.finding_marks if made else (),
        moved=moved,
        shots=tuple(segment_bend_of(run, plan, *turn) for turn in wide),
        findings=gravest_first((*plan.findings, *_tight(run, wide))),
    )
    return rack_pipe, order


def _tight(run: ResolvedRun, wide: Wide) -> list[Finding]:
    """A warning for each radius of wide bends that is under the code's for bends in shots."""
    return [
        finding
        for radius in sorted({radius for _, radius, _ in wide})
        for finding in shot_radius_findings(run, radius)
    ]


def _too_large(bends: int) -> Finding:
    values = {"bends": count(bends), "most": count(MOST_BENDS)}
    return Finding(FindingCode.RACK_TOO_LARGE, values, path="rack.count")


def _pipe_errors(pipe: RackPipe) -> list[Finding]:
    """The pipe's errors, with its number: what holds for one pipe stops the rack."""
    return [
        Finding(
            FindingCode.RACK_PIPE_CANNOT_BE_MADE,
            {"pipe": count(pipe.pipe + 1), "why": finding.phrase, "frees": FREES},
            finding.feature,
            "rack",
            finding.bends,
            source=finding.source,
        )
        for finding in errors_of(pipe.findings)[:1]
    ]


def _rack_plan(
    setup: ResolvedRun,
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
        findings=gravest_first(findings),
    )
