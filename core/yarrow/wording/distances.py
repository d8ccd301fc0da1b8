"""Distances out of doors as they are read: metres, or feet where the job is told in inches."""

from __future__ import annotations

from yarrow.measure.units import Unit, convert_length
from yarrow.wording.phrase import DistanceReading, FigureReading, Quantity


def size_reading(millimetres: float, unit: Unit) -> FigureReading:
    """A depth, a cover or a radius as it is read, to the nearest whole, with its unit.

    Args:
        millimetres: how much.
        unit: of the job.
    """
    return FigureReading(convert_length(millimetres, "mm", unit), 0, f" {unit}")


def distance(metres: float, unit: Unit) -> Quantity:
    """The same in a sentence.

    Args:
        metres: how far.
        unit: of the job.
    """
    return Quantity(metres, "m", DistanceReading(metres, unit))
