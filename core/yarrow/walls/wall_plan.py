"""A framed wall as it is answered, in ``yarrow.wall-plan/1``'s names."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from yarrow.findings.finding import Finding, nothing_wrong
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit


@dataclass(frozen=True, slots=True)
class PlacedStud:
    """A stud: its number, counted from 1, and from where to where it stands along the wall."""

    number: int
    begins: float
    ends: float


@dataclass(frozen=True, slots=True)
class PlacedBox:
    """A box as it is mounted: along the wall and up from the floor, with what is read there."""

    name: str
    stud: int
    side: str
    begins: float
    ends: float
    bottom: float
    top: float
    knockout: float
    top_text: str
    proud_text: str


@dataclass(frozen=True, slots=True)
class BoredHole:
    """A hole: its stud, counted from 1, its line and what is bored there; the feeds through it,
    counted from 0."""

    stud: int
    line: str
    along: float
    height: float
    height_text: str
    bit: float
    bit_text: str
    feeds: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class WallPiece:
    """A piece of a feed: what it is cut to, its marks as the tape has them, how many bends."""

    number: int
    cut_text: str
    marks: tuple[str, ...]
    bends: int


@dataclass(frozen=True, slots=True)
class PlannedFeed:
    """A feed: which boxes, which holes, its centreline (x along the wall, y toward the room, z up);
    the angle of its kicks; ``run`` is it as a ``yarrow.run/1`` of its own, and its pieces."""

    number: int
    start: str
    end: str
    line: str
    path: tuple[Vector, ...]
    kick_text: str
    studs: tuple[int, ...]
    run: dict[str, Any]
    pieces: tuple[WallPiece, ...]
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class ToBore:
    """Holes that are bored alike: with which bit, how high, in how many studs."""

    bit_text: str
    height_text: str
    count: int


@dataclass(frozen=True, slots=True)
class WallPlan:
    """A framed wall planned. Lengths in ``units``. ``longest_slid`` is the longest straight piece
    that goes into each line's holes from a bay, in order of the lines."""

    format: str
    units: Unit
    name: str
    length: float
    height: float
    plates: tuple[float, float]
    studs: tuple[PlacedStud, ...]
    boxes: tuple[PlacedBox, ...]
    holes: tuple[BoredHole, ...]
    feeds: tuple[PlannedFeed, ...]
    longest_slid: tuple[str, ...]
    to_bore: tuple[ToBore, ...]
    connectors: int
    couplings: int
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error, of the wall or of a feed."""
        return nothing_wrong([*self.findings, *(f for feed in self.feeds for f in feed.findings)])
