"""What is said, before it is worded: the key of a sentence, and the figures and names in it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import field
from fractions import Fraction
from typing import Final, NamedTuple

from yarrow.measure.rounding import cut_text, mark_text
from yarrow.measure.units import INCHES_PER_FOOT, Unit, convert_length
from yarrow.values import dataclass
from yarrow.wording.figures import Way, trimmed


class TapeReading(NamedTuple):
    """A length as a job's tape reads it: ``value`` in ``unit``, to the nearest mark of ``step``.
    It is made into text when that is asked for: ``with_unit`` behind it, ``signed``, as a
    difference is, which is 0 where it is less than half a mark, or as a ``cut`` is: inches in feet
    and inches, none under nothing."""

    value: float
    unit: Unit
    step: Fraction
    with_unit: bool = False
    signed: bool = False
    cut: bool = False

    def __str__(self) -> str:
        if self.cut:
            return cut_text(self.value, self.step, self.unit)
        if not self.signed:
            text = mark_text(self.value, self.step)
            return f"{text} {self.unit}" if self.with_unit else text
        text = mark_text(abs(self.value), self.step)
        return text if text == "0" else f"{'+' if self.value > 0 else '−'}{text}"

    @property
    def is_zero(self) -> bool:
        """Whether the tape does not tell it from nothing."""
        return mark_text(abs(self.value), self.step) == "0"


class AngleReading(NamedTuple):
    """Degrees as they are read, ``30°`` or ``22.5°``: at most two places, none that say nothing."""

    degrees: float

    def __str__(self) -> str:
        return f"{self.degrees:.2f}".rstrip("0").rstrip(".") + "°"

    def is_read_as(self, other: float) -> bool:
        """Whether another angle reads the same.

        Args:
            other: degrees.
        """
        return round(self.degrees, 2) == round(other, 2)


_FINE = 100.0
"""Below so many of its unit a distance is told to a tenth."""


class DistanceReading(NamedTuple):
    """A distance out of doors as it is read: ``metres``, or feet where the job is in inches."""

    metres: float
    unit: Unit

    def __str__(self) -> str:
        distance, name = self.metres, "m"
        if self.unit == "in":
            distance, name = convert_length(self.metres * 1000, "mm", "in") / INCHES_PER_FOOT, "ft"
        return f"{trimmed(distance, 1 if distance < _FINE else 0)} {name}"


class FigureReading(NamedTuple):
    """Any other figure as it is read: to so many ``places``, or as short as it can be told, with
    what stands ``behind`` it, its unit; ``way`` is one of ``wording.figures``."""

    value: float
    places: int | None = None
    behind: str = ""
    way: Way = trimmed

    def __str__(self) -> str:
        if self.places is None:
            return f"{self.value:g}{self.behind}"
        return self.way(self.value, self.places) + self.behind


Reading = TapeReading | AngleReading | DistanceReading | FigureReading
"""A figure that is made into text when that is asked for."""

READINGS: Final = (TapeReading, AngleReading, DistanceReading, FigureReading)
"""All kinds of them."""

Shown = Reading | str
"""What is read of a figure; text, empty where there is none."""


@dataclass(frozen=True, slots=True)
class Quantity:
    """A figure in a sentence: its value, in ``unit`` (empty for a count), and what is ``shown`` of
    it: to the tape's marks, rounded the safe way."""

    value: float
    unit: str
    shown: Shown

    @property
    def text(self) -> str:
        """As it is read."""
        return str(self.shown)


@dataclass(frozen=True, slots=True)
class Phrase:
    """A sentence or a part of one: a key of the wording, and what stands in its places."""

    key: str
    values: Mapping[str, Value] = field(default_factory=dict)


@dataclass(frozen=True, slots=True)
class Term:
    """A name that some languages have a word of their own for, by its key; ``usual`` in all that
    have none."""

    key: str
    usual: str


Value = Quantity | Phrase | Term | Reading | str | tuple["Value", ...]
"""What stands in a sentence: a figure, a phrase, a name, or several of these."""


def in_turn(*parts: Phrase) -> Phrase:
    """Sentences one after the other."""
    return parts[0] if len(parts) == 1 else Phrase("in-turn", {"parts": parts})


def figure(
    value: float,
    unit: str,
    places: int | None = None,
    behind: str = "",
    way: Way = trimmed,
) -> Quantity:
    """A figure that no tape is read for.

    Args:
        value: in ``unit``.
        unit: of the value; empty where it has none.
        places: to keep of it behind the point; None: as short as it can be told.
        behind: what is told behind it, its unit as it is read.
        way: how it is brought to its places, one of ``wording.figures``.
    """
    return Quantity(value, unit, FigureReading(value, places, behind, way))


def count(number: int) -> Quantity:
    """A number of things.

    Args:
        number: of the things.
    """
    return Quantity(number, "", FigureReading(number, 0))
