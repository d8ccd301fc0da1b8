"""Ducts in the ground as values: their sizes, how far they are pulled through, how they lie.

Source: catalog/ducts.toml; how far they are pulled through, catalog/fill.toml.
"""

from __future__ import annotations

from functools import cache
from typing import Any

from yarrow.catalog.limits import fill_limits
from yarrow.catalog.reading import toml
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class DuctSize:
    """A duct by its trade name, mm over all and inside."""

    size: str
    outside_mm: float
    inside_mm: float
    source: str


@dataclass(frozen=True, slots=True)
class DuctFigures:
    """How ducts are laid and pulled through; lengths as the names say, angles in degrees. ``cover``
    is by surface, ``sources`` by section of the file."""

    most_straight_m: float
    less_per_quarter_m: float
    most_degrees: float
    wiring_degrees: float
    radius_per_outside: float
    cable_diameters: float
    least_shown_degrees: float
    storey_m: float
    clear_m: float
    between_ducts_mm: float
    from_power_mm: float
    beside_mm: float
    tape_mm: float
    cover_mm: dict[str, float]
    large: str
    large_count: int
    small: str
    small_count: int
    most_tension_n: float
    most_side_wall_n_m: float
    waste_percent: float
    duct_m: float
    slack_m: float
    end_m: float
    sources: dict[str, str]


@cache
def duct_figures() -> DuctFigures:
    """The figures of the catalogue."""
    table: dict[str, Any] = toml("ducts")
    bends, building = table["bends"], table["building"]
    pulling, wiring = fill_limits().duct, fill_limits().pull_points
    apart, needed, amounts = table["apart"], table["to_building"], table["quantities"]
    return DuctFigures(
        most_straight_m=pulling.metres,
        less_per_quarter_m=pulling.less_per_quarter,
        most_degrees=pulling.most_degrees,
        wiring_degrees=wiring.most_degrees,
        radius_per_outside=bends["radius_per_outside"],
        cable_diameters=bends["cable_diameters"],
        least_shown_degrees=bends["least_shown_degrees"],
        storey_m=building["storey_m"],
        clear_m=building["clear_m"],
        between_ducts_mm=apart["ducts_mm"],
        from_power_mm=apart["power_mm"],
        beside_mm=apart["side_mm"],
        tape_mm=table["tape"]["over_ducts_mm"],
        cover_mm={name: value for name, value in table["cover_mm"].items() if name != "source"},
        large=needed["large"],
        large_count=needed["large_count"],
        small=needed["small"],
        small_count=needed["small_count"],
        most_tension_n=table["tension"]["most_n"],
        most_side_wall_n_m=table["side_wall"]["most_n_m"],
        waste_percent=amounts["waste_percent"],
        duct_m=amounts["duct_m"],
        slack_m=amounts["slack_m"],
        end_m=amounts["end_m"],
        sources={
            **{name: part["source"] for name, part in table.items() if "source" in part},
            "pulling": pulling.source,
            "wiring": wiring.source,
        },
    )


@cache
def duct_sizes() -> dict[str, DuctSize]:
    """Every duct by its size, the smallest first.

    Returns:
        As ``ducts.toml`` has them.
    """
    return {
        size: DuctSize(size, row["outside_mm"], row["inside_mm"], row["source"])
        for size, row in toml("ducts")["sizes"].items()
    }
