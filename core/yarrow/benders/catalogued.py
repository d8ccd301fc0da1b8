"""From a catalogue entry or a person's own numbers to a bender with one conduit in it."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import cast

from yarrow.benders.bender import Bender
from yarrow.benders.kinds import BENDER_KINDS, BenderKind
from yarrow.benders.springback import UNMEASURED, Springback, springback
from yarrow.catalog.tables import BenderEntry, Conduit, ShoeFit, typical_springback
from yarrow.measure.units import Unit, convert


def radius_from_gain(gain: float, diameter: float) -> float:
    """R = (G − D) / (2 − π/2), from a test 90.

    Args:
        gain: G = stub + tail − straight length, and diameter D, in one unit.
        diameter: of the pipe, in the same unit.

    Returns:
        The centreline radius, in that unit.

    Source:
        docs/at-the-bender.md, a test 90 calibrates it.
    """
    return (gain - diameter) / (2 - math.pi / 2)


def fit_for(entry: BenderEntry, conduit: Conduit) -> ShoeFit | None:
    """The row of a bender's shoe for a conduit; None where the shoe does not take it."""
    for fit in entry.fits:
        if (fit.type, fit.size) == (conduit.type, conduit.size):
            return fit
    return None


def catalogued(entry: BenderEntry, fit: ShoeFit, conduit: Conduit, unit: Unit) -> Bender:
    """A catalogue bender with a conduit in it, in the document's unit."""

    def number(value: Fraction) -> float:
        return float(convert(value, fit.unit, unit))

    diameter = float(convert(conduit.diameter, conduit.unit, unit))
    if fit.radius is not None:
        radius = number(fit.radius)
    else:
        radius = radius_from_gain(number(fit.gain or Fraction(0)), diameter)
    kind = cast(BenderKind, entry.kind)
    return Bender(
        id=entry.id,
        name=entry.name,
        kind=kind,
        way=BENDER_KINDS[kind].usual_way,
        springback=typical(conduit),
        degrees_per_click=fit.degrees_per_click,
        radius=radius,
        take_up=number(fit.take_up),
        hook=number(fit.hook),
        heel=number(fit.heel),
        diameter=diameter,
    )


def typical(conduit: Conduit) -> Springback:
    """What this material usually springs back, where nobody has measured it on the bender."""
    point = typical_springback().get(conduit.type)
    return springback((point,), typical=True) if point else UNMEASURED
