"""Holes and lock rings: how large, and how far apart they have to be."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.wiring import lock_rings
from yarrow.measure.units import Unit, convert_length


def ring_gap(unit: Unit) -> float:
    """Air between two lock rings, or one and the edge of its wall.

    Returns:
        In the unit.
    """
    return convert_length(fill_limits().entries.gap_in, "in", unit)


def lock_ring(size: str, unit: Unit) -> tuple[float, float, float]:
    """A trade size's hole, lock ring and reach in ``unit``.

    Args:
        size: trade size, as the table writes it.

    Returns:
        Diameter of the hole, diameter of the ring, and how far it reaches, in that unit.

    Raises:
        KeyError.
    """
    ring, of = lock_rings()[size]
    own_unit: Unit = "in" if of == "in" else "mm"
    hole, across, reach = (
        convert_length(float(length), own_unit, unit)
        for length in (ring.hole, ring.ring, ring.reach)
    )
    return hole, across, reach


def least_spacing(one: str, other: str, unit: Unit) -> float:
    """From middle to middle of two holes side by side: half of both lock rings, and air.

    Args:
        one: trade sizes.
        other: trade sizes.
        unit: of the answer.

    Returns:
        In the unit.

    Source:
        working figures of the catalogue, lock-rings.
    """
    return (lock_ring(one, unit)[1] + lock_ring(other, unit)[1]) / 2 + ring_gap(unit)


def row_of_holes(sizes: Sequence[str], unit: Unit) -> tuple[float, ...]:
    """The middles of a row of holes as close as lock rings allow, from the wall's edge, and last
    the length of wall that they take.

    Args:
        sizes: trade sizes in order along the row.
        unit: of the answer.

    Returns:
        In the unit.
    """
    gap = ring_gap(unit)
    places: list[float] = []
    for index, size in enumerate(sizes):
        half = lock_ring(size, unit)[1] / 2
        before = places[-1] + least_spacing(sizes[index - 1], size, unit) if places else gap + half
        places.append(before)
    end = places[-1] + lock_ring(sizes[-1], unit)[1] / 2 + gap if sizes else 0.0
    return (*places, end)
