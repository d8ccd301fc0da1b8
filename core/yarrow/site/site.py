"""Ducts between buildings as they are told: places, trenches, cables and the rules of pulling."""

from __future__ import annotations

from enum import StrEnum
from typing import Literal

from yarrow.measure.units import Unit
from yarrow.values import dataclass

PlanPoint = tuple[float, float]
"""Metres east and north of the plan's own corner."""

Surface = Literal["grass", "paved", "road"]

Feeding = Literal["none", "sheave", "person"]
"""What eases a corner at a pull point: nothing, a sheave, or a second person who feeds."""


class PlaceKind(StrEnum):
    """What ducts come to."""

    BUILDING = "building"
    HAND_HOLE = "hand-hole"
    VAULT = "vault"
    PULL_BOX = "pull-box"

    @property
    def rises(self) -> bool:
        """Whether ducts turn up in it."""
        return self is PlaceKind.BUILDING


class CableKind(StrEnum):
    """What a cable carries."""

    FIBRE = "fibre"
    COPPER = "copper"
    POWER = "power"

    @property
    def is_power(self) -> bool:
        """Whether it keeps off all that carries messages."""
        return self is CableKind.POWER

    @property
    def takes_inner(self) -> bool:
        """Whether it is drawn into inner ducts, where there are some."""
        return self is CableKind.FIBRE


@dataclass(frozen=True, slots=True)
class SitePlace:
    """A building or a pull point that a person set: where ducts come to it, its ``outline``, the
    ``floor`` that they rise to, whether it is only ``planned``, and what leads a cable round the
    corner there when it is pulled on past it (``feeding``)."""

    name: str
    kind: PlaceKind
    entries: tuple[PlanPoint, ...]
    outline: tuple[PlanPoint, ...] = ()
    floor: int = 0
    planned: bool = False
    feeding: Feeding = "none"


@dataclass(frozen=True, slots=True)
class Trench:
    """A trench as it is drawn, the ``cover`` over its ducts and the ``radius`` of their sweeps, mm;
    its ducts' trade size and that of the ``inner`` ones (empty: none), and whose it is."""

    name: str
    line: tuple[PlanPoint, ...]
    surface: Surface
    cover_mm: float
    duct: str
    radius_mm: float
    inner: str = ""
    owner: str = ""


@dataclass(frozen=True, slots=True)
class CableNeed:
    """So many cables from a place to another, by their numbers: mm across, kg a metre, and the
    tension in N that they bear. ``via``, the places that they are led through; ``second``, another
    set goes a way that shares no stretch with the first."""

    start: int
    end: int
    kind: CableKind
    count: int
    diameter_mm: float
    mass: float
    most_tension: float
    fewest_bends: bool
    via: tuple[int, ...]
    second: bool


@dataclass(frozen=True, slots=True)
class PullRules:
    """What a stretch between two pull points may come to: metres when straight, what each quarter
    bend takes off that, degrees."""

    most_straight_m: float
    less_per_quarter_m: float
    most_degrees: float

    def longest(self, degrees: float) -> float:
        """How long a stretch may be.

        Args:
            degrees: that it turns, between its ends.

        Returns:
            Metres; 0 or less where it turns too much to be pulled at all.
        """
        return self.most_straight_m - self.less_per_quarter_m * degrees / 90

    def use(self, length_m: float, degrees: float) -> float:
        """What a stretch uses of its limit, the worse of its length and its degrees; 1 is all.

        Args:
            length_m: metres.
            degrees: between its ends.

        Returns:
            A share of the limit.
        """
        longest = self.longest(degrees)
        if longest <= 0:
            return float("inf")
        return max(length_m / longest, degrees / self.most_degrees)


@dataclass(frozen=True, slots=True)
class SeenBeforeFilling:
    """Something that was seen of a stretch, by its name, before it was filled in: by whom, when."""

    stretch: str
    item: str
    by: str
    at: str


@dataclass(frozen=True, slots=True)
class DuctSite:
    """Everything that is told of a site. ``north`` is turned clockwise from up, degrees; ``future``
    is kept free for later, in percent of what is there."""

    name: str
    unit: Unit
    north: float
    rules: PullRules
    future: float
    places: tuple[SitePlace, ...]
    trenches: tuple[Trench, ...]
    cables: tuple[CableNeed, ...]
    seen: tuple[SeenBeforeFilling, ...] = ()
