"""Tape notation out: rounding to the tape's marks at the very end, and the text of a length."""

from __future__ import annotations

import math
from fractions import Fraction
from functools import lru_cache

from yarrow.measure.units import INCHES_PER_FOOT, Unit
from yarrow.values import dataclass

STEPS: dict[Unit, dict[str, Fraction]] = {
    "in": {"1/8": Fraction(1, 8), "1/16": Fraction(1, 16), "1/32": Fraction(1, 32)},
    "mm": {"1": Fraction(1)},
}
"""What a length may be rounded to, by unit: the marks of the tapes in use."""

USUAL_STEP: dict[Unit, str] = {"in": "1/16", "mm": "1"}


@dataclass(frozen=True, slots=True)
class Rounded:
    """A length brought to the nearest mark of the tape, ``over`` / ``under``, and how far it moved:
    read in ``feet`` and inches, or in its own unit, with what stands ``behind`` it."""

    over: int
    under: int
    moved: float
    feet: bool
    behind: str

    @property
    def value(self) -> float:
        """The mark."""
        return self.over / self.under

    @property
    def text(self) -> str:
        """As the tape reads."""
        told = _feet_text if self.feet else _mixed_text
        return told(self.over, self.under) + self.behind


def round_to(value: float, step: Fraction, unit: Unit, *, feet: bool = False) -> Rounded:
    """The nearest mark on a tape divided in ``step``; half-way goes up.

    Args:
        value: a length in ``unit``.
        step: > 0, in ``unit``.
        feet: whether inches are told in feet and inches with their signs (a cut length) or in
            inches alone (a mark).

    Returns:
        The mark, with ``moved`` = mark − value.
    """
    size, under = step.as_integer_ratio()
    over = _nearest_mark(value, size, under)
    behind = " mm" if feet and unit == "mm" else ""
    return Rounded(over, under, over / under - value, feet and unit == "in", behind)


def mark_text(value: float, step: Fraction) -> str:
    """The nearest mark on a tape divided in ``step``, as it is read; half-way goes up.

    Args:
        value: a length in the unit of ``step``.
        step: more than 0.

    Returns:
        Without a unit: ``25 9/16``.
    """
    size, under = step.as_integer_ratio()
    return _mixed_text(_nearest_mark(value, size, under), under)


def _nearest_mark(value: float, size: int, under: int) -> int:
    """How many parts, ``under`` of which are one, the nearest of the tape's marks is."""
    return math.floor(value * under / size + 0.5) * size


def cut_text(cut_length: float, step: Fraction, unit: Unit) -> str:
    """A cut length as it is read off a tape; nothing is cut shorter than nothing.

    Args:
        cut_length: in ``unit``.
        step: the smallest mark of the tape, in ``unit``.
        unit: inches are told in feet and inches, millimetres with their sign.

    Returns:
        ``8' 8 3/16"`` or ``1530 mm``.
    """
    return round_to(max(cut_length, 0.0), step, unit, feet=True).text


def exact_text(value: Fraction, unit: Unit) -> str:
    """A length as a tape would tell it if it can (``49 7/8``), else in decimals (``49.333``).

    Args:
        value: a length in ``unit``. Millimetres are always told in decimals.

    Returns:
        Without its unit.
    """
    if unit == "in" and value.denominator in (1, 2, 4, 8, 16, 32, 64):
        return _mixed_text(value.numerator, value.denominator)
    return f"{float(value):.3f}".rstrip("0").rstrip(".")


@lru_cache(maxsize=4096)
def _mixed_text(over: int, under: int) -> str:
    """``-5/4`` as ``-1 1/4``."""
    sign = "-" if over < 0 else ""
    whole, part = divmod(abs(over), under)
    if part == 0:
        return f"{sign}{whole}"
    common = math.gcd(part, under)
    fraction = f"{part // common}/{under // common}"
    return f"{sign}{whole} {fraction}" if whole else f"{sign}{fraction}"


def _feet_text(over: int, under: int) -> str:
    """``118 7/16`` inches as ``9' 10 7/16"``."""
    sign = "-" if over < 0 else ""
    feet, rest = divmod(abs(over), INCHES_PER_FOOT * under)
    inches = _mixed_text(rest, under)
    return f"{sign}{feet}' {inches}\"" if feet else f'{sign}{inches}"'
