"""What goes in: conductors and cables that are alike, and what conduit or trunking they go into."""

from __future__ import annotations

import math
from fractions import Fraction
from typing import Literal

from yarrow.catalog.tables import TradeSize
from yarrow.catalog.wiring import WireSize
from yarrow.measure import ieee
from yarrow.measure.units import Unit, convert
from yarrow.values import dataclass

ConductorRole = Literal["line", "neutral", "earth", "traveller", "cable"]


@dataclass(frozen=True, slots=True)
class Conductor:
    """So many conductors or cables of one kind.

    ``diameter`` over the insulation (of an oval cable the larger one, ``height`` the smaller) and
    ``area`` as printed, in ``unit`` and its square; None where no table says. ``size`` names a US
    wire, ``csa`` (mm2), ``build`` and ``cover`` a UK one, and ``trunking`` what it takes of a usual
    trunking by the printed factors, mm2. ``carries``: current flows in it in use. ``path`` is
    its field in the document; ``circuit`` the circuit that it came from.
    """

    count: int
    name: str
    unit: Unit
    diameter: Fraction | None
    path: str
    area: Fraction | None = None
    height: Fraction | None = None
    insulation: str = ""
    size: WireSize | None = None
    csa: Fraction | None = None
    build: str = ""
    cover: str = ""
    trunking: Fraction | None = None
    role: ConductorRole = "line"
    carries: bool = True
    circuit: int | None = None

    def area_in(self, unit: Unit) -> float | None:
        """What one takes of a cross-section, in ``unit`` squared: as printed, else pi/4 d^2.

        Returns:
            None where nothing of it is known.
        """
        if self.area is not None and self.unit == unit:
            return float(self.area)
        across = self.across(unit)
        return None if across is None else math.pi / 4 * ieee.square(across)

    def across(self, unit: Unit) -> float | None:
        """Its (larger) diameter in ``unit``.

        Returns:
            None where nothing of it is known.
        """
        return None if self.diameter is None else float(convert(self.diameter, self.unit, unit))


@dataclass(frozen=True, slots=True)
class Raceway:
    """A conduit or trunking to put conductors into, in ``unit``.

    A conduit has ``inside`` and may have a printed ``area``; trunking has ``width`` and ``height``
    and may have a printed ``factor`` (mm2).
    """

    type: str
    size: TradeSize
    name: str
    unit: Unit
    inside: Fraction | None = None
    area: Fraction | None = None
    width: Fraction | None = None
    height: Fraction | None = None
    factor: int | None = None
    source: str = ""

    @property
    def cross_section(self) -> float | None:
        """The inside area, in ``unit`` squared: as printed, else by geometry."""
        if self.area is not None:
            return float(self.area)
        if self.width is not None and self.height is not None:
            return float(self.width * self.height)
        return None if self.inside is None else math.pi / 4 * ieee.square(float(self.inside))
