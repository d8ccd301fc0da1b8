"""A stretch's ducts in their trench: where each lies, and how wide and deep that is dug."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.catalog.ducts import duct_figures, duct_sizes
from yarrow.site.ducts import LaidDuct
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class DuctInSection:
    """A duct's middle, mm to the right of the trench's left side and under the surface, and how
    wide it is over all."""

    across: float
    deep: float
    outside: float


@dataclass(frozen=True, slots=True)
class TrenchSection:
    """A trench cut across, mm: ``width``, ``depth``, the ``cover`` over its ducts, how deep the
    warning ``tape`` lies, and each duct in order."""

    width: float
    depth: float
    cover: float
    tape: float
    ducts: tuple[DuctInSection, ...]


def section_of(ducts: Sequence[LaidDuct], cover_mm: float) -> TrenchSection:
    """Ducts in their bank: power by itself on the right, the rest as nearly square as it can be.

    Args:
        ducts: of a stretch, power last.
        cover_mm: from the surface to the uppermost, in millimetres.

    Source:
        catalog/ducts.toml.
    """
    figures = duct_figures()
    placed: list[DuctInSection] = []
    left, lowest = figures.beside_mm, cover_mm
    for power in (False, True):
        bank = [duct_sizes()[duct.size].outside_mm for duct in ducts if duct.power is power]
        if not bank:
            continue
        if placed:
            left += figures.from_power_mm
        pitch = max(bank) + figures.between_ducts_mm
        columns = math.ceil(math.sqrt(len(bank)))
        for number, outside in enumerate(bank):
            row, column = divmod(number, columns)
            across = left + column * pitch + max(bank) / 2
            deep = cover_mm + row * pitch + max(bank) / 2
            placed.append(DuctInSection(across, deep, outside))
        left += columns * pitch - figures.between_ducts_mm
        lowest = max(duct.deep + duct.outside / 2 for duct in placed)
    return TrenchSection(
        width=left + figures.beside_mm,
        depth=lowest + figures.beside_mm,
        cover=cover_mm,
        tape=max(cover_mm - figures.tape_mm, 0.0),
        ducts=tuple(placed),
    )
