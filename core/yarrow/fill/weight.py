"""Estimates where the cable's own sheet is not at hand: its mass, and what its copper may be
pulled with."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.wiring import copper_kcmil
from yarrow.fill.conductor import Conductor

MM2_PER_KCMIL = 0.506707
"""A circle a thousandth of an inch across, a thousand times."""


def copper_mm2(conductor: Conductor) -> float | None:
    """The metal of one conductor; None for a cable that is told by its diameter alone.

    Returns:
        Square millimetres.
    """
    if conductor.csa is not None:
        return float(conductor.csa)
    if conductor.size is not None:
        return float(copper_kcmil()[conductor.size]) * MM2_PER_KCMIL
    return None


def mass_of(conductors: Sequence[Conductor]) -> float:
    """kg a metre of all together: copper, and the rest of each cross-section as cover. Of a cable
    told by its diameter the whole is taken as both together.

    Returns:
        Kilograms a metre.
    """
    limits = fill_limits().mass
    total = 0.0
    for conductor in conductors:
        whole = conductor.area_in("mm") or 0.0
        copper = copper_mm2(conductor)
        if copper is None:
            one = whole * limits.cable_kg_m3
        else:
            cover = max(whole - copper, 0.0)
            one = copper * limits.copper_kg_m3 + cover * limits.cover_kg_m3
        total += conductor.count * one * 1e-6
    return total


def tension_limit_of(conductors: Sequence[Conductor]) -> float | None:
    """lbf that the conductors may be pulled with together; None where a cable's copper is not
    known.

    Returns:
        Pounds of force.
    """
    metal = [(conductor.count, copper_mm2(conductor)) for conductor in conductors]
    if any(copper is None for _, copper in metal):
        return None
    kcmil = math.fsum(count * (copper or 0.0) for count, copper in metal) / MM2_PER_KCMIL
    return kcmil * fill_limits().tension.lbf_per_kcmil
