"""What is said, before it is worded: the key of a sentence, and the figures and names in it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field


@dataclass(frozen=True, slots=True)
class Quantity:
    """A figure in a sentence: its value, in ``unit`` (empty for a count), and as it is read: to the
    tape's marks, rounded the safe way."""

    value: float
    unit: str
    text: str


@dataclass(frozen=True, slots=True)
class Phrase:
    """A sentence or a part of one: a key of the wording, and what stands in its places."""

    key: str
    values: Mapping[str, Value] = field(default_factory=dict)


Value = Quantity | Phrase | str | tuple["Value", ...]
"""What stands in a sentence: a figure, a phrase, a name as it was given, or several of these."""


def by_country(us: str, uk: str) -> Phrase:
    """A name that each country has its own word for.

    Args: us, in the United States; uk, in the United Kingdom.
    """
    return Phrase("by-country", {"us": us, "uk": uk})


def in_turn(*parts: Phrase) -> Phrase:
    """Sentences one after the other."""
    return parts[0] if len(parts) == 1 else Phrase("in-turn", {"parts": parts})


def count(number: int) -> Quantity:
    """A number of things."""
    return Quantity(number, "", str(number))
