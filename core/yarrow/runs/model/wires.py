"""The wire of a run: what is to be drawn in, and what the run says of it."""

from __future__ import annotations

from typing import Literal

from yarrow.fill.conductor import Conductor, Raceway
from yarrow.fill.method import MethodName
from yarrow.fill.pull import Pull
from yarrow.fill.pull_points import PullPoint, PullPoints
from yarrow.fill.result import FillResult
from yarrow.findings.finding import Finding
from yarrow.geometry.vectors import Vector
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Shown

State = Literal["dry", "lubricated"]


@dataclass(frozen=True, slots=True)
class PullSettings:
    """How the wire is pulled, in the run's units (lb/ft, lbf, lbf/ft or kg/m, N, N/m); None where
    the usual figure or an estimate is to do. ``up`` is against gravity (None: all level)."""

    mass: float | None
    state: State
    friction: float | None
    most_tension: float | None
    most_side_wall: float | None
    up: Vector | None


@dataclass(frozen=True, slots=True)
class Wires:
    """What is to be drawn into a run, and the rules for it."""

    method: MethodName
    raceway: Raceway
    conductors: tuple[Conductor, ...]
    spare: float
    nipple: bool
    pull: PullSettings
    duct: bool = False


@dataclass(frozen=True, slots=True)
class Break:
    """A pull point that a run needs: where, in words, and what kind of box or body."""

    point: PullPoint
    kind: Phrase
    text: Phrase


@dataclass(frozen=True, slots=True)
class PlannedPull:
    """The pull both ways with what it was worked out from; ``force`` and ``pressure`` are the units
    of its tensions and side-wall pressures, ``per_length`` that of the mass."""

    pull: Pull
    mass: float
    mass_estimated: bool
    friction: float
    state: State
    force: str
    pressure: str
    per_length: str
    text: Phrase
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class PlannedWires:
    """What a run says of its wire. ``fill`` is None where the rule set has no figure for it, which
    the findings tell; ``bends`` counts right angles (a double set counts as one); ``duct_m`` is how
    long an outdoor duct with these bends may be between pull points (None: it is none), and the
    texts tell both as the job's distances are told."""

    fill: FillResult | None
    bends: int
    length_m: float
    points: PullPoints
    breaks: tuple[Break, ...]
    pull: PlannedPull | None
    duct_m: float | None
    length_text: Shown
    duct_text: Shown
    findings: tuple[Finding, ...]

    @property
    def fits(self) -> bool:
        """Whether it goes in."""
        return self.fill is not None and self.fill.passes
