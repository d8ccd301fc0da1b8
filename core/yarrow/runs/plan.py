"""The plan: every value that a person, page or sheet reads off, in ``yarrow.plan/1``'s names."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from yarrow.benders.bender import BenderKind, Hook, Reference
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.runs.run import Method, Worked

Level = Literal["error", "warning", "note"]


@dataclass(frozen=True, slots=True)
class Remedy:
    """A finding's fix: what it does in words, and the one field that it sets."""

    label: str
    path: str
    value: str | float


@dataclass(frozen=True, slots=True)
class Finding:
    """Something to know before metal is bent: how bad, what, where, and what to change.

    ``feature`` is the line of the walk, ``path`` the field, ``bends`` the bends it is about;
    ``source`` where a rule is written, empty where it is the geometry or the tool that says so.
    """

    level: Level
    code: str
    text: str
    feature: int | None = None
    path: str = ""
    bends: tuple[int, ...] = ()
    remedy: Remedy | None = None
    source: str = ""


@dataclass(frozen=True, slots=True)
class PlannedBend:
    """A bend in its place on the straight pipe, from the start's pipe end."""

    feature: int
    role: str
    angle: float
    roll: float
    radius: float
    arc_start: float
    arc_end: float
    vertex: int


@dataclass(frozen=True, slots=True)
class Mark:
    """What goes on the pipe for one bend: where, as the tape tells it, and how the bender goes on.

    ``position`` is exact, ``rounded`` where the text says, ``moved`` = rounded − position.
    """

    bend: int
    position: float
    text: str
    reference: Reference
    hook: Hook
    rounded: float
    moved: float


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do, in order: the words, how to check it, and the caution where it belongs."""

    number: int
    title: str
    do: str
    check: str
    caution: str
    bend: int | None


@dataclass(frozen=True, slots=True)
class Totals:
    """Sums over the run: degrees bent, pipe that offsets use up, pipe that turns save."""

    bend_degrees: float
    limit_degrees: float
    shrink: float
    gain: float


@dataclass(frozen=True, slots=True)
class Dimension:
    """One number of the walk and what it comes out as, with the marks as rounded."""

    feature: int
    field: str
    asked: float
    comes_out: float
    off: float
    asked_text: str
    off_text: str


@dataclass(frozen=True, slots=True)
class Beside:
    """The same run by the other method: its marks, its cut, and what that pipe comes out as."""

    method: Method
    cut_length: float
    cut_length_text: str
    marks: tuple[Mark, ...]
    dimensions: tuple[Dimension, ...]


@dataclass(frozen=True, slots=True)
class SiteDimension:
    """A number of the walk where it was measured: from ``start`` to ``end``, in space."""

    feature: int
    field: str
    text: str
    start: Vector
    end: Vector


@dataclass(frozen=True, slots=True)
class Thing:
    """Something on site to draw: ``at`` its near corner on the side that the pipe passes, ``along``
    its extent in the direction of travel, ``toward`` the side that the pipe is on, ``height`` how
    far it stands up to there. ``feature`` is None for what the run starts from."""

    feature: int | None
    kind: Literal["box", "coupling", "ledge", "round"]
    label: str
    at: Vector
    ahead: Vector
    toward: Vector
    along: float
    height: float


@dataclass(frozen=True, slots=True)
class PlannedConduit:
    """The conduit that the plan is for."""

    type: str
    size: str
    name: str
    diameter: float
    stick: float


@dataclass(frozen=True, slots=True)
class PlannedBender:
    """The bender that the plan is for."""

    id: str
    name: str
    kind: BenderKind
    radius: float
    take_up: float


@dataclass(frozen=True, slots=True)
class Plan:
    """Everything about one pipe. Lengths in ``units``, angles in degrees.

    ``path`` holds the centreline vertices with both ends, in the frame of the start's face; its
    first point is the start's pipe end. Where the run can't be made as written, ``steps`` is empty
    and ``marks`` only tell where the arcs would have to lie.
    """

    format: str
    units: Unit
    name: str
    method: Method
    round_to: str
    conduit: PlannedConduit
    bender: PlannedBender
    cut_length: float
    cut_length_text: str
    path: tuple[Vector, ...]
    first_toward: Vector
    bends: tuple[PlannedBend, ...]
    marks: tuple[Mark, ...]
    steps: tuple[Step, ...]
    totals: Totals
    dimensions: tuple[Dimension, ...]
    beside: Beside | None
    site: tuple[SiteDimension, ...]
    things: tuple[Thing, ...]
    worked: tuple[Worked, ...]
    findings: tuple[Finding, ...]

    @property
    def working_marks(self) -> tuple[Mark, ...]:
        """The marks to put on a pipe: none where the run can't be made."""
        return self.marks if self.can_be_made else ()

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error."""
        return not any(finding.level == "error" for finding in self.findings)
