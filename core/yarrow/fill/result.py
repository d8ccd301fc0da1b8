"""The answer of a check, in ``yarrow.fill-result/1``'s names."""

from __future__ import annotations

from yarrow.fill.method import Amount, FillRule, MethodName, PrintedRow
from yarrow.findings.finding import Finding, nothing_wrong
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase


@dataclass(frozen=True, slots=True)
class RacewaySummary:
    """The conduit or trunking that was checked, or chosen. Lengths in ``units``; ``inside`` is a
    conduit's bore, ``width`` and ``height`` trunking's sides. ``least_radius`` of a field bend to
    the centre line on a one-shot or full shoe, ``least_radius_other`` on any other tool."""

    type: str
    size: str
    name: str
    units: Unit
    inside: float | None
    width: float | None
    height: float | None
    least_radius: float | None
    least_radius_other: float | None
    source: str


@dataclass(frozen=True, slots=True)
class Part:
    """Conductors that are alike: what one takes and all together, how many of it alone the raceway
    takes (``most``), how many more go in beside the rest (``room``); ``diameter`` and, of an oval,
    ``height`` in the raceway's unit. ``circuit`` is the circuit it came from."""

    name: str
    count: int
    each: float
    total: float
    most: int
    room: int
    diameter: float | None
    height: float | None
    size: str
    role: str
    carries: bool
    circuit: int | None


@dataclass(frozen=True, slots=True)
class Smallest:
    """The smallest size of a type that passes, if any does."""

    type: str
    size: str | None
    name: str


@dataclass(frozen=True, slots=True)
class OtherWay:
    """The same by the other way: its share of its limit, or why there is no such figure."""

    method: MethodName
    passes: bool | None
    used: float
    limit: float
    share: float
    amount: Amount
    text: Phrase
    source: str


@dataclass(frozen=True, slots=True)
class AmpacityAdjustment:
    """What fill says nothing about, for information: how many conductors carry current, and the
    percent of ampacity left by count (None where another standard's tables decide)."""

    carrying: int
    percent: int | None
    text: Phrase
    source: str


@dataclass(frozen=True, slots=True)
class FillResult:
    """Whether it goes in. ``used`` and ``limit`` in ``amount``; ``share`` = used / limit;
    ``spare`` percent of the limit is to stay free, which leaves ``usable``; ``left`` is
    limit - used. ``most`` and ``room`` follow the conductors; ``smallest`` (None: none passes)
    keeps the spare. ``jam`` is the ratio that jamming goes by, where there are three alike."""

    format: str
    method: MethodName
    passes: bool
    used: float
    limit: float
    amount: Amount
    share: float
    spare: float
    usable: float
    left: float
    rule: FillRule
    conduit: RacewaySummary
    count: int
    conductors: tuple[Part, ...]
    most: tuple[int, ...]
    room: tuple[int, ...]
    smallest: str | None
    next_size: str | None
    by_type: tuple[Smallest, ...]
    jam: float | None
    rows: tuple[PrintedRow, ...]
    beside: OtherWay | None
    heat: AmpacityAdjustment
    findings: tuple[Finding, ...]

    @property
    def can_be_made(self) -> bool:
        """Whether no finding is an error."""
        return nothing_wrong(self.findings)
