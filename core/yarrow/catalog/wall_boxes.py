"""The kinds of boxes that are mounted on studs: their sizes, and their knockouts by name.

Source: catalog/wall-boxes.toml.
"""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache

from yarrow.catalog.reading import toml
from yarrow.measure.units import Unit
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class WallBoxKind:
    """A kind of box, lengths in ``unit``: what a box of it measures, where nobody says another;
    ``across`` and ``up``, its knockouts from its middle, to the right and upward; ``screws``, those
    of its sides that lie behind a device's screws; ``box``, what its volume is told by ("" where
    none is)."""

    id: str
    name: str
    unit: Unit
    sizes: Mapping[str, float]
    across: tuple[tuple[str, float], ...]
    up: tuple[tuple[str, float], ...]
    screws: tuple[str, ...]
    box: str
    devices: int

    @property
    def knockouts(self) -> tuple[str, ...]:
        """All of its knockouts, as they are called: the edge, then which of them."""
        level = (f"{edge} {name}" for edge in ("top", "bottom") for name, _ in self.across)
        upright = (f"{edge} {name}" for edge in ("left", "right") for name, _ in self.up)
        return (*level, *upright)


@cache
def wall_boxes() -> Mapping[str, WallBoxKind]:
    """Every kind by its id.

    Returns:
        In the order of ``wall-boxes.toml``.
    """
    return {
        kind: WallBoxKind(
            kind,
            row["name"],
            row["unit"],
            {size: float(row[size]) for size in ("width", "tall", "deep", "knockout")},
            tuple((name, float(off)) for name, off in row["across"].items()),
            tuple((name, float(off)) for name, off in row["up"].items()),
            tuple(row["screws"]),
            row.get("box", ""),
            row["devices"],
        )
        for kind, row in toml("wall-boxes").items()
    }
