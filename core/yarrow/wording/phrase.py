"""What is said, before it is worded: the key of a sentence, and the figures and names in it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import field
from fractions import Fraction
from typing import NamedTuple

from yarrow.measure.rounding import mark_text
from yarrow.measure.units import Unit
from yarrow.values import dataclass


class TapeReading(NamedTuple):
    """A length as a job's tape reads it: ``value`` in ``unit``, to the nearest mark of ``step``.
    It is made into text when that is asked for: ``with_unit`` behind it, or ``signed``, as a
    difference is, which is 0 where it is less than half a mark."""

    value: float
    unit: Unit
    step: Fraction
    with_unit: bool = False
    signed: bool = False

    def __str__(self) -> str:
        if not self.signed:
            text = mark_text(self.value, self.step)
            return f"{text} {self.unit}" if self.with_unit else text
        text = mark_text(abs(self.value), self.step)
        return text if text == "0" else f"{'+' if self.value > 0 else '−'}{text}"

    @property
    def is_zero(self) -> bool:
        """Whether the tape does not tell it from nothing."""
        return mark_text(abs(self.value), self.step) == "0"


Shown = TapeReading | str
"""What is read of a figure: a length to the tape's marks, or text; empty where there is none."""


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


Value = Quantity | Phrase | Term | TapeReading | str | tuple["Value", ...]
"""What stands in a sentence: a figure, a phrase, a name, or several of these."""


def in_turn(*parts: Phrase) -> Phrase:
    """Sentences one after the other."""
    return parts[0] if len(parts) == 1 else Phrase("in-turn", {"parts": parts})


def count(number: int) -> Quantity:
    """A number of things.

    Args:
        number: of the things.
    """
    return Quantity(number, "", str(number))
