"""The plan of a rack: every pipe's marks, and what lies between them, in ``yarrow.rack-plan/1``."""

from __future__ import annotations

from yarrow.benders.kinds import Marking
from yarrow.findings.finding import Finding, nothing_wrong
from yarrow.geometry.frame import Side
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.runs.model.plan import (
    ArcToDraw,
    FoundMark,
    Mark,
    PlannedBend,
    PlannedBender,
    PlannedConduit,
)
from yarrow.runs.model.run import Between, Corners
from yarrow.values import dataclass
from yarrow.wording.phrase import Shown


@dataclass(frozen=True, slots=True)
class SegmentBend:
    """A wide bend as many small ones: of the line ``feature`` of the walk, with the radius that it
    comes to; how many, how many degrees each, how far apart their marks are, where the first mark
    goes, and the pipe that the whole bend takes. ``bend`` is the first of them."""

    feature: int
    bend: int
    radius: float
    radius_text: Shown
    count: int
    degrees: float
    apart: float
    apart_text: Shown
    first_text: Shown
    developed: float
    developed_text: Shown


@dataclass(frozen=True, slots=True)
class RackPipe:
    """One pipe of a rack, counted from 0: ``offset`` from the first one's line, to the rack's side.

    ``path`` are its vertices beside the first one's; ``comes_out_as`` those that its rounded marks
    make (none where no pipe comes out); ``built_as`` those of the pipe as it was really built (none
    where nothing was told of it), and ``arcs`` its bends, else those planned. ``moved`` is, for
    every mark, how much further along it is than the same one of the pipe before (none where it has
    other bends).
    """

    pipe: int
    offset: float
    offset_text: Shown
    conduit: PlannedConduit
    bender: PlannedBender
    cut_length: float
    cut_length_text: Shown
    path: tuple[Vector, ...]
    comes_out_as: tuple[Vector, ...]
    built_as: tuple[Vector, ...]
    arcs: tuple[ArcToDraw, ...]
    bends: tuple[PlannedBend, ...]
    marks: tuple[Mark, ...]
    marking: Marking
    finding_marks: tuple[FoundMark, ...]
    moved: tuple[Shown, ...]
    shots: tuple[SegmentBend, ...]
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class Gap:
    """Between a pipe and the next: centre to centre as planned; the least air, and where that is;
    how far legs come out from that spacing with the marks as rounded, at the most."""

    pipe: int
    centres: float
    centres_text: Shown
    air: float
    air_text: Shown
    at: Vector
    at_text: Shown
    off: float
    off_text: Shown


@dataclass(frozen=True, slots=True)
class RackPlan:
    """Every pipe of a rack and the gaps between them; ``findings`` are about the rack as a whole or
    name the pipe. Lengths in ``units``, angles in degrees."""

    format: str
    units: Unit
    name: str
    side: Side
    between: Between
    corners: Corners
    pipes: tuple[RackPipe, ...]
    gaps: tuple[Gap, ...]
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding, of the rack or of a pipe, is an error."""
        own = (finding for pipe in self.pipes for finding in pipe.findings)
        return nothing_wrong((*self.findings, *own))
