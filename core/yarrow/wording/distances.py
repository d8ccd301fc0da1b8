"""Distances out of doors as they are read: metres, or feet where the job is told in inches."""

from __future__ import annotations

from yarrow.measure.units import INCHES_PER_FOOT, Unit, convert_length
from yarrow.wording.figures import trimmed
from yarrow.wording.phrase import Quantity

_FINE = 100.0
"""Below so many of its unit a distance is told to a tenth."""


def distance_text(metres: float, unit: Unit) -> str:
    """A distance as it is read.

    Args:
        metres: how far.
        unit: of the job.

    Returns:
        With its unit.
    """
    distance, name = metres, "m"
    if unit == "in":
        distance, name = convert_length(metres * 1000, "mm", "in") / INCHES_PER_FOOT, "ft"
    return f"{trimmed(distance, 1 if distance < _FINE else 0)} {name}"


def size_text(millimetres: float, unit: Unit) -> str:
    """A depth, a cover or a radius as it is read, to the nearest whole.

    Args:
        millimetres: how much.
        unit: of the job.

    Returns:
        With its unit.
    """
    return f"{convert_length(millimetres, 'mm', unit):.0f} {unit}"


def distance(metres: float, unit: Unit) -> Quantity:
    """The same in a sentence.

    Args:
        metres: how far.
        unit: of the job.
    """
    return Quantity(metres, "m", distance_text(metres, unit))
