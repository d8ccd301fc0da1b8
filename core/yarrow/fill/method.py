"""What a way of checking says: what one conductor takes, what a raceway allows, by which rule."""

from __future__ import annotations

from typing import Literal, Protocol

from yarrow.fill.conductor import Conductor, Raceway
from yarrow.findings.finding import Finding
from yarrow.measure.units import Unit
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase

MethodName = Literal["area", "factor", "space"]
Amount = Literal["in^2", "mm2", "factor"]


class MissingTableValue(ValueError):
    """A way of checking has no figure for something; ``field`` and ``expected`` say what it has."""

    def __init__(self, field: str, expected: str) -> None:
        super().__init__(f"{field}: {expected}")
        self.field = field
        self.expected = expected


@dataclass(frozen=True, slots=True)
class FillRule:
    """A rule as a sentence, with where it is written."""

    text: Phrase
    source: str
    edition: str

    @property
    def written(self) -> str:
        """Where it is written, with its edition."""
        return f"{self.source} ({self.edition})"


@dataclass(frozen=True, slots=True)
class PrintedRow:
    """A printed length, in metres, and the factor that stands there."""

    length_m: float
    factor: float


class FillMethod(Protocol):
    """A way of checking. Amounts are in ``amount``; ``rounds_up`` is the fraction from which a
    count of like conductors is rounded up (None: it never is)."""

    @property
    def name(self) -> MethodName:
        """Its name in a document."""

    @property
    def amount(self) -> Amount:
        """What amounts are told in."""

    @property
    def rounds_up(self) -> float | None:
        """From which fraction on a count of like conductors goes up."""

    def each(self, conductor: Conductor) -> float:
        """What one takes.

        Returns:
            In the unit that the method counts in: an area, or a factor.

        Raises:
            MissingTableValue.
        """

    def limit(self, raceway: Raceway, count: int) -> float:
        """What a raceway allows to so many conductors.

        Args:
            count: of conductors.

        Returns:
            In the unit that the method counts in.

        Raises:
            MissingTableValue.
        """

    def raceways(self, like: Raceway) -> tuple[Raceway, ...]:
        """Those of the same type, the one that takes least first."""

    def rule(self, count: int) -> FillRule:
        """The rule that sets the limit for so many conductors.

        Args:
            count: of conductors.
        """

    def types(self, raceway: Raceway) -> tuple[str, ...]:
        """The types of conduit among which there may be a smaller one; none where there is but one
        sort of raceway, or figures for one alone.

        Returns:
            As the catalogue has them.
        """

    def rows(self, raceway: Raceway) -> tuple[PrintedRow, ...]:
        """The printed rows that an answer lies on or between; none where nothing is looked up."""

    def ampacity_percent(self, carrying: int) -> int | None:
        """What is left of each one's ampacity where so many carry current; None where that is
        looked up by circuits.

        Args:
            carrying: conductors that carry current.

        Returns:
            Percent.
        """

    def findings(self, raceway: Raceway) -> list[Finding]:
        """What there is to say about the raceway by this rule."""


def has_limit(method: FillMethod, raceway: Raceway, count: int) -> float:
    """What a method allows in a raceway, above zero.

    Args:
        count: of conductors.

    Returns:
        In the unit that the method counts in.

    Raises:
        MissingTableValue where the rule comes to nothing, so that there is nothing to compare with.
    """
    limit = method.limit(raceway, count)
    if limit <= 0:
        raise MissingTableValue(
            "length",
            "a run short enough for the rule to leave a factor: part it with a draw-in box",
        )
    return limit


def in_unit(unit: Unit) -> Amount:
    """The square of a unit."""
    return "in^2" if unit == "in" else "mm2"
