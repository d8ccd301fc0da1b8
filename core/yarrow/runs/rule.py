"""The printed way: multipliers and shrink for the same run, as they stand on a bender's card."""

from __future__ import annotations

import math

from yarrow.bends.leg import RuleSpot
from yarrow.catalog.tables import rules_of_thumb
from yarrow.runs.layout import Layout
from yarrow.runs.run import Run


def printed_rule(angle: float) -> tuple[float, float]:
    """Multiplier and shrink per unit of rise; by 1/sin θ and tan(θ/2) where no row is printed.

    Args: angle in degrees. Source: catalog/rules-of-thumb.csv.
    """
    for row in rules_of_thumb():
        if row.angle == angle:
            return row.multiplier, row.shrink
    radians = math.radians(angle)
    return 1 / math.sin(radians), math.tan(radians / 2)


def by_rule(run: Run, layout: Layout) -> tuple[tuple[RuleSpot, ...], float]:
    """Where printed rules put every bend, in order, and the cut length that goes with them.

    Returns: the spots and the cut length, from the start's pipe end.
    """
    base = float(run.start.allowance)
    spots: list[RuleSpot] = []
    for laid_line in layout.lines:
        worked = laid_line.line.by_rule(laid_line.leg, layout.pipe, base, printed_rule)
        spots.extend(worked.spots)
        base = worked.base
    return tuple(spots), base + layout.lines[-1].laid.ends
