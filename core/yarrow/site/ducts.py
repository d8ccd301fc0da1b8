"""How many ducts of a stretch, of which size, and which cables lie in each."""

from __future__ import annotations

import math
from collections import Counter
from collections.abc import Collection, Iterable, Sequence
from fractions import Fraction
from functools import lru_cache

from yarrow.catalog.ducts import duct_figures, duct_sizes
from yarrow.catalog.tables import TradeSize
from yarrow.fill.area import Area
from yarrow.fill.conductor import Raceway
from yarrow.fill.counting import Load, additional_count, fits, used_by
from yarrow.measure import ieee
from yarrow.site.site import CableKind, CableNeed
from yarrow.values import dataclass

_BY_AREA = Area("mm")

_ANY = 1000
"""More than go into any duct."""


@dataclass(frozen=True, slots=True)
class CablesInDuct:
    """So many of a need's cables, by its number."""

    need: int
    count: int


@dataclass(frozen=True, slots=True)
class LaidDuct:
    """A duct: its trade size, what it is for (None: it is spare), the cables in it, and what they
    take of what its fill rule allows, 1 is all: of the fullest of its ``inner`` ducts, where it has
    some."""

    size: str
    kind: CableKind | None
    power: bool
    cables: tuple[CablesInDuct, ...]
    used: float
    inner: int = 0


def duct_as_raceway(size: str) -> Raceway:
    """A duct as the fill rules have it.

    Args:
        size: of the catalogue.
    """
    duct = duct_sizes()[size]
    inside = Fraction(str(duct.inside_mm))
    return Raceway("duct", TradeSize(size), f"{size} mm duct", "mm", inside=inside)


def takes(size: str, diameter_mm: float) -> bool:
    """Whether a cable by itself goes into a duct by the fill rule.

    Args:
        size: of the duct.
        diameter_mm: of the cable, mm over all.
    """
    return _more_go_in(size, (), _cross_section(diameter_mm), 1) > 0


def laid_ducts(
    size: str,
    cables: Collection[tuple[int, CableNeed]],
    future: float,
    leads_to_building: bool,
    inner: str = "",
) -> tuple[LaidDuct, ...]:
    """The ducts of a stretch: those that its cables fill, what is kept for later, and at least what
    leads to any building.

    Args:
        size: of its ducts.
        cables: each need's number and it, once for each way that it goes there.
        future: percent of the ducts in use that are laid besides.
        leads_to_building: whether any building hangs on it.
        inner: the trade size of ducts that are drawn into those for fibre; empty, none are.

    Source:
        Fill by area; catalog/ducts.toml.
    """
    result: list[LaidDuct] = []
    for kind in CableKind:
        of_kind = [cable for cable in cables if cable[1].kind is kind]
        if inner and kind.takes_inner:
            filled = _gathered(size, inner, _filled(inner, kind, of_kind))
        else:
            filled = _filled(size, kind, of_kind)
        spare = math.ceil(len(filled) * future / 100 - 1e-9)
        result += filled + [LaidDuct(size, None, kind.is_power, (), 0.0)] * spare
    least = _least_count(size) if leads_to_building else 1
    result += [LaidDuct(size, None, False, (), 0.0)] * (least - len(result))
    # Those in use first, power on its own behind all others.
    result.sort(key=lambda duct: (duct.power, duct.kind is None))
    return tuple(result)


def _least_count(size: str) -> int:
    figures, sizes = duct_figures(), duct_sizes()
    large = sizes[size].inside_mm >= sizes[figures.large].inside_mm
    return figures.large_count if large else figures.small_count


def _filled(size: str, kind: CableKind, cables: Iterable[tuple[int, CableNeed]]) -> list[LaidDuct]:
    """The widest cables first, each into the first duct that has room."""
    ducts: list[tuple[Counter[float], list[CablesInDuct]]] = []
    for number, need in sorted(cables, key=lambda counted: -counted[1].diameter_mm):
        each, left, at = _cross_section(need.diameter_mm), need.count, 0
        while left:
            if at == len(ducts):
                ducts.append((Counter(), []))
            areas, inside = ducts[at]
            more = _more_go_in(size, _loads_of(areas), each, left)
            if not more and not areas:
                more = left  # too wide for the duct: that is told, and it has one all the same
            if more:
                areas[each] += more
                inside.append(CablesInDuct(number, more))
            left, at = left - more, at + 1
    return [
        LaidDuct(size, kind, kind.is_power, tuple(inside), _share_taken(size, _loads_of(areas)))
        for areas, inside in ducts
    ]


def inner_count(size: str, inner: str) -> int:
    """How many inner ducts go into a duct, by the fill rule.

    Args:
        size: of the duct.
        inner: of those, as of the catalogue.
    """
    return _more_go_in(size, (), _cross_section(duct_sizes()[inner].outside_mm), _ANY)


def _gathered(size: str, inner: str, filled: list[LaidDuct]) -> list[LaidDuct]:
    """Inner ducts drawn into ducts, as many into each as go in: the empty ones too."""
    each = max(inner_count(size, inner), 1)
    result = []
    for at in range(0, len(filled), each):
        some = filled[at : at + each]
        cables = tuple(cable for duct in some for cable in duct.cables)
        used = max(duct.used for duct in some)
        result.append(LaidDuct(size, some[0].kind, some[0].power, cables, used, each))
    return result


def _loads_of(areas: Counter[float]) -> tuple[Load, ...]:
    return tuple(Load(count, area) for area, count in areas.items())


@lru_cache(maxsize=5000)
def _more_go_in(size: str, loads: tuple[Load, ...], each: float, most: int) -> int:
    """How many more go into a duct, of so many at most. Two may fill it more than three do, by
    the rule, so that fewer than the most that go in may be too many. One stretch's ducts fill as
    the next one's do."""
    raceway = duct_as_raceway(size)
    more = min(additional_count(_BY_AREA, raceway, [*loads, Load(0, each)], len(loads)), most)
    while more and not fits(_BY_AREA, raceway, _with(loads, each, more)):
        more -= 1
    return more


def _with(loads: Sequence[Load], each: float, more: int) -> list[Load]:
    """The loads with so many more of one kind: alike ones are one load, as the rule counts them."""
    counts = Counter({load.each: load.count for load in loads})
    counts[each] += more
    return [Load(count, kind) for kind, count in counts.items()]


@lru_cache(maxsize=5000)
def _share_taken(size: str, loads: tuple[Load, ...]) -> float:
    """What cables take of what the rule allows. Alike ones are counted, and their last may lie a
    little over the area (docs/ducts.md): then it is all."""
    raceway = duct_as_raceway(size)
    limit = _BY_AREA.limit(raceway, sum(load.count for load in loads))
    share = used_by(loads) / limit
    return min(share, 1.0) if fits(_BY_AREA, raceway, loads) else share


def _cross_section(diameter_mm: float) -> float:
    return math.pi / 4 * ieee.square(diameter_mm)
