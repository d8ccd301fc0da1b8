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


@dataclass(frozen=True, slots=True)
class Term:
    """A name that some languages have a word of their own for, by its key; ``usual`` in all that
    have none."""

    key: str
    usual: str


Value = Quantity | Phrase | Term | str | tuple["Value", ...]
"""What stands in a sentence: a figure, a phrase, a name, or several of these."""


def in_turn(*parts: Phrase) -> Phrase:
    """Sentences one after the other."""
    return parts[0] if len(parts) == 1 else Phrase("in-turn", {"parts": parts})


def count(number: int) -> Quantity:
    """A number of things."""
    return Quantity(number, "", str(number))
