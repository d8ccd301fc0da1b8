"""Sums that were typed into a document's fields, kept as they are worked out."""

from __future__ import annotations

from fractions import Fraction

from yarrow.measure.tape import Reading
from yarrow.runs.model.run import EvaluatedSum


def record_sum(reading: Reading, path: str, worked: list[EvaluatedSum]) -> Fraction:
    """A reading's value; a sum is added to those that were worked out.

    Args:
        reading: of a field.
        path: of the field.
        worked: the sums so far.

    Returns:
        In the document's unit.
    """
    if reading.worked:
        worked.append(EvaluatedSum(path, reading.worked))
    return reading.value
