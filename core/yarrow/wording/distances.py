"""Distances out of doors as they are read: metres, or feet where the job is told in inches."""

from __future__ import annotations

from yarrow.measure.units import Unit, convert_length
from yarrow.wording.phrase import DistanceReading, Quantity


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
    return Quantity(metres, "m", DistanceReading(metres, unit))
