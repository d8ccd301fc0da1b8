"""The two units that a job can be measured in, and the way from one to the other."""

from __future__ import annotations

from fractions import Fraction
from typing import Literal

Unit = Literal["in", "mm"]

MM_PER_INCH = Fraction(127, 5)
"""Exact by definition (international inch, 1959)."""

INCHES_PER_FOOT = 12

_MM_PER_INCH, _INCHES_PER_MM = float(MM_PER_INCH), float(1 / MM_PER_INCH)
"""For lengths that geometry has begun on."""


def other_unit(unit: Unit) -> Unit:
    """Inches for millimetres, and the other way round."""
    return "mm" if unit == "in" else "in"


def convert(value: Fraction, unit: Unit, to: Unit) -> Fraction:
    """The same length in the other unit, exactly.

    Args:
        value: a length in ``unit``.
        unit: "in" or "mm".
        to: "in" or "mm".

    Returns:
        The length in ``to``.
    """
    if unit == to:
        return value
    return value * MM_PER_INCH if to == "mm" else value / MM_PER_INCH


def convert_length(value: float, unit: Unit, to: Unit) -> float:
    """The same for a length that geometry has begun on.

    Args:
        value: a length in ``unit``.

    Returns:
        In the other unit.
    """
    if unit == to:
        return value
    return value * (_MM_PER_INCH if to == "mm" else _INCHES_PER_MM)
