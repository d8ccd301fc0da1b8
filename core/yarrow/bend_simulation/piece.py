"""The piece that is bent."""

from __future__ import annotations

from yarrow.benders.bender import Bender
from yarrow.catalog.stances import Stances
from yarrow.geometry.pipe import StraightPipe
from yarrow.measure.units import Unit
from yarrow.role import Role
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Piece:
    """What is bent: the bender and where it can be worked, the straight pipe with the part that
    each of its bends has in its line (``roles``) and the number of that line (``lines``), and the
    unit of its lengths."""

    bender: Bender
    stances: Stances
    pipe: StraightPipe
    roles: tuple[Role, ...]
    lines: tuple[int, ...]
    unit: Unit
