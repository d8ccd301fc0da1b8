"""Tape notation in: ``27 11/16``, ``7' 2 5/8"``, ``618 mm`` and their sums, as exact fractions."""

from __future__ import annotations

import math
import re
from decimal import Decimal
from fractions import Fraction
from functools import lru_cache

from yarrow.measure.rounding import exact_text
from yarrow.measure.units import INCHES_PER_FOOT, MM_PER_INCH, Unit, convert, other_unit
from yarrow.values import dataclass

LONGEST_TEXT = 60
"""Characters in one field: more is not something that was read off a tape."""

LARGEST = 1_000_000
"""A length beyond this (16 miles, in inches) is refused rather than planned."""

EXPECTED = "a length such as 27 11/16, 7' 2 5/8\" or 618 mm"

_SPELLINGS = str.maketrans(
    {
        "′": "'", "’": "'", "‘": "'", "″": '"', "”": '"', "“": '"',
        "−": "-", "–": "-", "⁄": "/", "×": "x", "*": "x", "\u00a0": " ", "\u2009": " ",
        "¼": " 1/4", "½": " 1/2", "¾": " 3/4", "⅛": " 1/8", "⅜": " 3/8", "⅝": " 5/8", "⅞": " 7/8",
    }
)  # fmt: skip

_TERM = re.compile(
    r"""\s*
    (?:(?P<feet>\d+(?:\.\d+)?)\s*(?:'|ft\b)(?:-(?=\d)|\s*))?
    (?:
        (?P<over>\d+)/(?P<under>\d+)
      | (?P<whole>\d+\.?\d*|\.\d+)(?:(?:\s+|-)(?P<part>\d+)/(?P<of>\d+))?
    )?
    \s*(?P<unit>"|inches\b|inch\b|in\b|mm\b|cm\b|m\b)?\s*""",
    re.VERBOSE | re.ASCII,
)

_NAME = re.compile(
    r"\s*(?!(?:in|inch|inches|ft|mm|cm)\b)(?=[^\W\d_]{2})[^\W\d_](?:[^\W\d_]|[ ,])*[ ](?=[\d.])"
)
"""What a term of a sum is called, before its figure: ``floor to hub 45 1/4 - strut 3 3/8``."""

_FEET_OR_LESS = re.compile(r"(\d+)-(\d+)(?![\d/'])(?!\s*(?:mm|cm|m)\b)", re.ASCII)
"""``10-0`` is ten feet to one crew, and ten less nothing to another."""

_PLAIN = re.compile(r"(\d{1,6})(?:[ -](\d{1,3})/(\d{1,3}))?", re.ASCII)

_PER_UNIT: dict[str, tuple[Unit, Fraction]] = {
    '"': ("in", Fraction(1)),
    "in": ("in", Fraction(1)),
    "inch": ("in", Fraction(1)),
    "inches": ("in", Fraction(1)),
    "mm": ("mm", Fraction(1)),
    "cm": ("mm", Fraction(10)),
    "m": ("mm", Fraction(1000)),
}


class LengthSyntaxError(ValueError):
    """What was written is not a length; ``expected`` says what would be."""

    def __init__(self, expected: str = EXPECTED) -> None:
        super().__init__(expected)
        self.expected = expected


_KEPT = 4000
"""Lengths that were read last: a document is read at every key, and one of them is another."""


@dataclass(frozen=True, slots=True)
class Reading:
    """A length as it was given: its exact value in ``unit``, and the worked sum if it was one."""

    value: Fraction
    unit: Unit
    worked: str = ""


def read_length(given: object, unit: Unit) -> Reading:
    """A length from a number or from tape notation.

    Numbers and texts without a unit are in ``unit``; a unit that is written wins. Terms may be
    added and subtracted (``52 3/4 - 2 7/8``) or repeated (``3 x 16``), and of a sum they may have
    names (``floor to hub 45 1/4 - strut 3 3/8``); the worked sum is kept.

    Args:
        given: an int, float, Decimal or str.
        unit: the document's.

    Returns:
        The reading, exact, in ``unit``.

    Raises:
        LengthSyntaxError, with what was expected.

    Source:
        the run file's contract, docs/run-file.md.
    """
    if isinstance(given, str):
        return _read_text(given, unit)
    if isinstance(given, bool) or not isinstance(given, int | float | Decimal):
        raise LengthSyntaxError
    return _read_number(given, unit)


@lru_cache(maxsize=_KEPT)
def _read_number(given: float | Decimal, unit: Unit) -> Reading:
    # Whole numbers are compared as they are: a huge one has no float to be tested by.
    finite = isinstance(given, int) or math.isfinite(given)
    if not (finite and -LARGEST <= given <= LARGEST):
        raise LengthSyntaxError(f"a length up to {LARGEST:,}")
    # repr is the shortest decimal that means this float: 0.1 stays one tenth.
    return Reading(Fraction(repr(given)) if isinstance(given, float) else Fraction(given), unit)


@lru_cache(maxsize=_KEPT)
def _read_text(text: str, unit: Unit) -> Reading:
    plain = _PLAIN.fullmatch(text)
    if plain and plain[2] is None:
        return Reading(Fraction(int(plain[1])), unit)
    if plain and int(plain[2]) < int(plain[3]):
        under = int(plain[3])
        return Reading(Fraction(int(plain[1]) * under + int(plain[2]), under), unit)
    if len(text) > LONGEST_TEXT:
        raise LengthSyntaxError(f"a length in at most {LONGEST_TEXT} characters")
    plainly = _plainly(text)
    feet = _FEET_OR_LESS.match(plainly) if unit == "in" else None
    if feet and int(feet[2]) < INCHES_PER_FOOT:
        one, other = feet[1], feet[2]
        raise LengthSyntaxError(f"feet and inches, {one}' {other}, or with spaces {one} - {other}")
    value, terms = _read_sum(plainly, unit)
    if abs(value) > LARGEST:
        raise LengthSyntaxError(f"a length up to {LARGEST:,}")
    worked = f"{' '.join(text.split())} = {exact_text(value, unit)}" if terms > 1 else ""
    return Reading(value, unit, worked)


def _plainly(text: str) -> str:
    return text.translate(_SPELLINGS).lower().strip()


def in_other_unit(text: str, unit: Unit) -> str:
    """The same tape notation for a document in the other unit, exactly: every term without a unit
    gets ``unit`` written behind it, and one that is written in the other unit loses it there.

    ``52 3/4 - 2 7/8`` is ``52 3/4 in - 2 7/8 in`` in millimetres, and comes back as it was: what
    was read off a tape stays what was read.

    Args:
        text: tape notation that read_length takes.
        unit: the one that it is read in.

    Returns:
        Tape notation.

    Raises:
        LengthSyntaxError.
    """
    wanted = read_length(text, unit).value
    to = other_unit(unit)
    terms = _terms(_plainly(text))
    counts = {at - 1 for at, term in enumerate(terms) if term == "x"}
    result = "".join(
        term if at in counts else _term_in_other_unit(term, unit) for at, term in enumerate(terms)
    )
    if len(result) <= LONGEST_TEXT and convert(wanted, unit, to) == read_length(result, to).value:
        return result
    return f"{'-' if wanted < 0 else ''}{abs(wanted.numerator)}/{wanted.denominator} {unit}"


def _terms(text: str) -> list[str]:
    """A sum in pieces: its terms, with what stands between them."""
    result: list[str] = []
    place = 0
    while place < len(text):
        name = _NAME.match(text, place) if _begins_term(result) else None
        match = name or (None if text[place] in "+-x" else _TERM.match(text, place))
        ends = match.end() if match else place + 1
        result.append(text[place:ends])
        place = ends
    return result


def _begins_term(result: list[str]) -> bool:
    """Whether a term, with its name, comes next."""
    return not result or result[-1].strip() in ("+", "-")


def _term_in_other_unit(term: str, unit: Unit) -> str:
    match = _TERM.fullmatch(term)
    if match is None or match["feet"] is not None or not match[0].strip():
        return term
    if match["unit"] is None:
        body = term.rstrip()
        return f"{body} {unit}{term[len(body) :]}"
    if _PER_UNIT[match["unit"]] == (other_unit(unit), Fraction(1)):
        return term[: match.start("unit")].rstrip() + term[match.end("unit") :]
    return term


def _read_sum(text: str, unit: Unit) -> tuple[Fraction, int]:
    """The value of ``term (+|- term)*`` and how many terms it had."""
    total, terms, place = Fraction(0), 0, 0
    sign = 1
    if text[:1] in ("-", "+"):
        sign, place = (-1 if text[0] == "-" else 1), 1
    named = False
    while True:
        name = _NAME.match(text, place)
        named, place = named or name is not None, name.end() if name else place
        value, place, bare = _read_term(text, place, unit)
        terms += 1
        while bare and text[place : place + 1] == "x":
            times, place, bare = _read_term(text, place + 1, unit)
            value, terms = value * times, terms + 1
        total += sign * value
        if place == len(text):
            if named and terms == 1:
                raise LengthSyntaxError
            return total, terms
        if text[place] not in "+-":
            raise LengthSyntaxError
        sign, place = (-1 if text[place] == "-" else 1), place + 1


def _read_term(text: str, place: int, unit: Unit) -> tuple[Fraction, int, bool]:
    """One term's value in ``unit``, where it ends, and whether it is a bare number (a count)."""
    match = _TERM.match(text, place)
    if match is None or match.end() == place:
        raise LengthSyntaxError
    feet, over, whole, written = match["feet"], match["over"], match["whole"], match["unit"]
    if feet is None and over is None and whole is None:
        raise LengthSyntaxError
    if feet is not None and written in ("mm", "cm", "m"):
        raise LengthSyntaxError("feet with inches, or a metric length, not both")
    inches = _typed_fraction(over, match["under"]) if over else Fraction(whole or 0)
    if match["part"]:
        part = _typed_fraction(match["part"], match["of"])
        if part >= 1 or "." in whole:
            raise LengthSyntaxError("a whole number and a fraction below 1, such as 27 11/16")
        inches += part
    if feet is not None:
        value, own = inches + Fraction(feet) * INCHES_PER_FOOT, "in"
    else:
        own, scale = _PER_UNIT.get(written, (unit, Fraction(1)))
        value = inches * scale
    if own != unit:
        value = value / MM_PER_INCH if unit == "in" else value * MM_PER_INCH
    return value, match.end(), feet is None and written is None


def _typed_fraction(over: str, under: str) -> Fraction:
    if int(under) == 0:
        raise LengthSyntaxError("a fraction whose lower number is not zero")
    return Fraction(int(over), int(under))
