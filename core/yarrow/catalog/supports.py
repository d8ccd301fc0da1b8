"""How far apart a conduit is held up, by its type and size: law or habit, with the source.

Source: catalog/supports.toml.
"""

from __future__ import annotations

from yarrow.catalog.reading import toml
from yarrow.catalog.tables import Conduit
from yarrow.measure.units import Unit, convert, convert_length
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class SupportRule:
    """How a conduit is held up, lengths in one unit: the ``first`` strap from every end, the most
    from strap to strap, and of a leg that stands ``upright``; how long a ``strap`` is; ``law`` or
    habit; who says so, of the first strap and of the others."""

    first: float
    spacing: float
    upright: float
    strap: float
    law: bool
    first_source: str
    source: str


def support_rule(conduit: Conduit, unit: Unit, *, straight: bool = False) -> SupportRule:
    """The rule for a conduit.

    Args:
        conduit: of the catalogue.
        unit: of the figures.
        straight: whether the run is straight, with threaded couplings.
    """
    row = toml("supports")[conduit.type]
    outside = float(convert(conduit.diameter, conduit.unit, "mm"))
    further = straight and "straight_mm" in row
    apart = row["straight_mm"] if further else row["spacing_mm"]
    spacing, upright = (
        convert_length(next(mm for most, mm in table if outside <= most), "mm", unit)
        for table in (apart, row.get("upright_mm", apart))
    )
    return SupportRule(
        convert_length(row["first_mm"], "mm", unit),
        spacing,
        upright,
        convert_length(toml("supports")["strap_mm"], "mm", unit),
        row["law"],
        row["first_source"],
        row["straight_source"] if further else row["source"],
    )
