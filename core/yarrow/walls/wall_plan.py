"""A framed wall as it is answered, in ``yarrow.wall-plan/1``'s names."""

from __future__ import annotations

from typing import Any

from yarrow.findings.finding import Finding, nothing_wrong
from yarrow.geometry.vectors import Vector
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.walls.studs import Opening, Stud
from yarrow.wording.phrase import Phrase, Shown


@dataclass(frozen=True, slots=True)
class PlacedBox:
    """A box as it is mounted: along the wall and up from the floor, with what is read there.
    ``stud`` is 0 where it stands beside an opening's frame. ``knockouts`` are those that can be
    named; ``volume_text``, what its feeds want of its volume, empty where nobody told."""

    name: str
    stud: int
    side: str
    begins: float
    ends: float
    bottom: float
    top: float
    knockout: float
    top_text: Shown
    proud_text: Shown
    on: Phrase
    knockouts: tuple[str, ...]
    volume_text: Phrase | str


@dataclass(frozen=True, slots=True)
class PlacedLine:
    """A line that holes are bored on, whether or not a feed goes along it."""

    name: str
    height: float
    height_text: Shown


@dataclass(frozen=True, slots=True)
class BoredHole:
    """A hole: its stud, counted from 1 (0: an opening's frame), its line and what is bored there;
    the feeds through it, counted from 0."""

    stud: int
    line: str
    along: float
    height: float
    height_text: Shown
    bit: float
    bit_text: Shown
    feeds: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class PlateHoleBored:
    """A hole through a plate: whose, which plate, where along the wall and how deep behind its
    face."""

    feed: int
    plate: str
    along: float
    along_text: Shown
    deep_text: Shown


@dataclass(frozen=True, slots=True)
class FoundInBrief:
    """What a tape reads at a mark on the piece as it is by then, and what it is measured from."""

    reads: Shown
    where: Phrase


@dataclass(frozen=True, slots=True)
class WallPiece:
    """A piece of a feed: what it is cut to, its marks as the tape has them on the straight pipe;
    where it is marked as you go, how they are ``found``, as its bends are made; how many bends;
    which one it goes in as, and from where."""

    number: int
    cut_text: Shown
    marks: tuple[Shown, ...]
    found: tuple[FoundInBrief, ...]
    bends: int
    turn: int
    goes_in: Phrase


@dataclass(frozen=True, slots=True)
class PlannedFeed:
    """A feed: what it joins, by which knockouts and holes, its centreline in the wall laid flat (x
    along it, y toward the room, z up); the angle of its kicks; ``joints``, likewise;
    ``longest_slid``, the longest straight piece that goes in; ``run`` is it as a ``yarrow.run/1``
    of its own, known by its ``key``, and its pieces."""

    number: int
    key: str
    start: str
    end: str
    line: str
    from_knockout: str
    to_knockout: str
    path: tuple[Vector, ...]
    kick_text: Phrase | str
    studs: tuple[int, ...]
    joints: tuple[Vector, ...]
    longest_slid: Shown
    run: dict[str, Any]
    pieces: tuple[WallPiece, ...]
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class ToBore:
    """Holes that are bored alike: with which bit, how high (or in which plate), how many."""

    bit_text: Shown
    height_text: Shown
    plate: str
    count: int


@dataclass(frozen=True, slots=True)
class Needed:
    """What of a thing is needed: connectors, couplings, straps, steel plates."""

    what: Phrase
    count: int


@dataclass(frozen=True, slots=True)
class WallPlan:
    """A framed wall planned. Lengths in ``units``; ``corners``, where it turns; ``order``, what is
    done when."""

    format: str
    units: Unit
    name: str
    length: float
    height: float
    plates: tuple[float, float]
    studs: tuple[Stud, ...]
    openings: tuple[Opening, ...]
    corners: tuple[float, ...]
    boxes: tuple[PlacedBox, ...]
    lines: tuple[PlacedLine, ...]
    holes: tuple[BoredHole, ...]
    plate_holes: tuple[PlateHoleBored, ...]
    feeds: tuple[PlannedFeed, ...]
    to_bore: tuple[ToBore, ...]
    needed: tuple[Needed, ...]
    order: tuple[Phrase, ...]
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error, of the wall or of a feed."""
        return nothing_wrong([*self.findings, *(f for feed in self.feeds for f in feed.findings)])
