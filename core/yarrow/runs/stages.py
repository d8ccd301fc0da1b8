"""A planned run: what the stages of a plan came to, where it can be made and where it can't."""

from __future__ import annotations

from yarrow.findings.finding import Finding
from yarrow.geometry.pipe import StraightPipe
from yarrow.runs.checks.placed_pipe import PlacedPipe
from yarrow.runs.layout.walk import Layout
from yarrow.runs.model.plan import Choice, FoundMark, MarkedPipe, Solved, Step, Working
from yarrow.runs.model.run import ResolvedRun, Survey
from yarrow.runs.model.wires import PlannedWires
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Resolution:
    """A run with bends to everything and its loose numbers where the ends meet, how it came by
    them, and what there is to say about that."""

    survey: Survey
    run: ResolvedRun
    choices: tuple[Choice, ...]
    solved: tuple[Solved, ...]
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class StraightenedRun:
    """A run's vertices and the straight pipe that they come from."""

    layout: Layout
    pipe: StraightPipe
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class Disorder:
    """A run whose vertices no pipe can follow, and why among the findings."""

    layout: Layout
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class UnbuildablePlan:
    """A run that can't be made as it was written. ``placed`` is where its arcs would have to lie;
    None where its vertices have none."""

    resolution: Resolution
    layout: Layout
    placed: PlacedPipe | None
    wires: PlannedWires | None
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class BuildablePlan:
    """A run that can be made: its pipe by the method that was asked for, where its marks are found
    on the piece as it comes to be, how each bend is worked, what to do, and the same by the other
    method, where that has marks for it."""

    resolution: Resolution
    layout: Layout
    placed: PlacedPipe
    marked: MarkedPipe
    finding_marks: tuple[FoundMark, ...]
    working: tuple[Working, ...]
    steps: tuple[Step, ...]
    other_method: MarkedPipe | None
    wires: PlannedWires | None
    findings: tuple[Finding, ...]


Plan = BuildablePlan | UnbuildablePlan
