"""How far a pipe gives and springs back: what can be lifted off a wall without a bend staying in.

Source: catalog/elastic.toml.
"""

from __future__ import annotations

import math

from yarrow.catalog.reading import toml
from yarrow.catalog.tables import Conduit
from yarrow.measure.units import Unit, convert


def least_elastic_radius(conduit: Conduit, unit: Unit) -> float:
    """The tightest curve that leaves no bend in a pipe: stiffness × diameter / (2 × stress).

    Args:
        conduit: of the catalogue.
        unit: of the radius.

    Returns:
        Of the centreline, in the unit.
    """
    materials = (material for material in toml("elastic").values() if isinstance(material, dict))
    row = next(material for material in materials if conduit.type in material["of"])
    diameter = float(convert(conduit.diameter, conduit.unit, unit))
    return float(1000 * row["stiffness_gpa"] * diameter / (2 * row["stress_mpa"]))


def end_lifts(free: float, radius: float) -> float:
    """How far the end of a free length comes off its wall when it is lifted there, held at its
    other end and curved there to a radius: length² / (3 radius), as a bar that is held at one end.

    Args:
        free: the length from where it is held.
        radius: in the same unit.

    Returns:
        In the same unit.
    """
    return math.inf if radius <= 0 else free * free / (3 * radius)


def lifted_over(lift: float, radius: float) -> float:
    """The free length that gives so much at its end.

    Args:
        lift: at the end.
        radius: in the same unit.

    Returns:
        In the same unit.
    """
    return math.sqrt(3 * radius * lift)
