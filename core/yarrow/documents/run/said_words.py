"""What was typed, in plain words: the spellings of one thing made one, before a line is read."""

from __future__ import annotations

import re
from fractions import Fraction
from typing import NamedTuple

_DECIMAL_COMMA = re.compile(r"(?<=\d),(?=\d{1,2}(?!\d))")
_COMMA_IN_NUMBER = re.compile(r"\d\s*,\s*\d")

_SAID_SO: tuple[tuple[re.Pattern[str], str], ...] = tuple(
    (re.compile(said, re.IGNORECASE), plain)
    for said, plain in (
        (r"@", " at "),
        (r"(?<=\d)\s*(?:feet|foot|ft)\b\.?", "' "),
        (r"(?<=\d)\s+and\s+(?=\d+\s*/\s*\d)", " "),
        (r"(?<=[a-z])-(?=[a-z])", " "),
        (r"\bthree(?=[ -](?:bend|point|pt)\b)", "3"),
        (r"\bfour(?=[ -](?:bend|point|pt)\b)", "4"),
        (r"\b([34])[ -](?:bend|point|pt)s?\b", r"\1 bend"),
        (r"\bcenter\b", "centre"),
        (r"\bstub ?up\b", "stub"),
        (r"\b(stub|upstand) (?:up|down)\b", r"\1"),
    )
)

USUAL_ANGLES = frozenset(map(Fraction, ("10", "15", "22.5", "30", "45", "60", "90")))
"""Degrees that bends are called by: such a number behind a rise is one of them."""


class SaidWords(NamedTuple):
    """A line in plain words, what it is called, and what is to be said otherwise (empty:
    nothing)."""

    words: str
    label: str
    expected: str


def said_plainly(text: str) -> SaidWords:
    """A typed line in plain words. A comma between figures belongs to a number; what follows any
    other is what the line is called.

    Args:
        text: as it was typed.
    """
    decimal = _DECIMAL_COMMA.sub(".", text)
    if _COMMA_IN_NUMBER.search(decimal):
        return SaidWords("", "", "a number without a comma: 1250, or 1.25 with a point")
    typed, _, label = decimal.partition(",")
    for said, plain in _SAID_SO:
        typed = said.sub(plain, typed)
    return SaidWords(typed, label.strip(), "")


def as_degrees(text: str) -> Fraction | None:
    """A plain number that may be degrees, ``22 1/2`` too; None where it is none.

    Args:
        text: as it was typed.

    Returns:
        Degrees.
    """
    match = re.fullmatch(r"(\d{1,3}(?:\.\d+)?)(?:[ -]([1-9]\d?)/([1-9]\d?))?", text.strip())
    if match is None:
        return None
    part = Fraction(int(match[2]), int(match[3])) if match[2] else Fraction(0)
    return Fraction(match[1]) + part


def is_usual_angle(text: str) -> bool:
    """Whether a number is one that bends are called by.

    Args:
        text: as it was typed.
    """
    return as_degrees(text) in USUAL_ANGLES
