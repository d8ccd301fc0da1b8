"""What a site takes: trench by surface and depth, ducts, bends, ropes, pull points, cable."""

from __future__ import annotations

import math
from collections import Counter, defaultdict
from collections.abc import Iterator

from yarrow.catalog.ducts import duct_figures
from yarrow.measure.units import Unit
from yarrow.site.checks import kind_phrase
from yarrow.site.plan_site import PlannedSite
from yarrow.site.routes import RoutedCable, stops_on
from yarrow.site.section import TrenchSection
from yarrow.site.site_plan import SiteQuantity
from yarrow.site.stretches import StopReason
from yarrow.values import dataclass
from yarrow.wording.distances import size_reading
from yarrow.wording.phrase import DistanceReading, FigureReading, Phrase, Value

_NEAREST = 22.5
"""Degrees of the bends that ducts are bought in."""


def quantities_of(
    planned: PlannedSite, sections: tuple[TrenchSection, ...]
) -> tuple[SiteQuantity, ...]:
    """What is to be dug, bought and pulled.

    Args:
        planned: the site.
        sections: of its stretches.

    Source:
        catalog/ducts.toml, quantities.
    """
    return tuple(_quantities(planned, sections))


def _quantities(
    planned: PlannedSite, sections: tuple[TrenchSection, ...]
) -> Iterator[SiteQuantity]:
    site, figures = planned.site, duct_figures()
    unit, more = site.unit, 1 + figures.waste_percent / 100
    amounts = _amounts(planned, sections)
    for (surface, deep), metres in sorted(amounts.dug.items()):
        values: dict[str, Value] = {
            "surface": Phrase(f"site/surface/{surface}"),
            "deep": size_reading(deep, unit),
        }
        yield _measured_off(Phrase("site/amount/trench", values), metres, unit)
    for size, metres in sorted(amounts.ducts.items(), key=lambda duct: int(duct[0])):
        yield _measured_off(Phrase("site/amount/duct", {"size": size}), metres * more, unit)
        yield _so_many(Phrase("site/amount/couplings", {"size": size}), amounts.couplings[size])
    for size, metres in sorted(amounts.inner.items()):
        if metres:
            phrase = Phrase("site/amount/inner", {"size": size})
            yield _measured_off(phrase, metres * more, unit)
    for (size, degrees), number in sorted(amounts.bends.items()):
        bend: dict[str, Value] = {"size": size, "degrees": f"{degrees:g}°"}
        yield _so_many(Phrase("site/amount/bends", bend), number)
    yield _measured_off(Phrase("site/amount/rope"), amounts.ropes, unit)
    yield _measured_off(Phrase("site/amount/tape"), amounts.tape, unit)
    yield from _hand_holes(planned)
    yield from _cables(planned)


@dataclass(slots=True)
class _Amounts:
    """Of trenches by surface and depth, of ducts and inner ducts by size, all in metres; couplings
    by size, bends by size and degrees."""

    dug: defaultdict[tuple[str, float], float]
    ducts: defaultdict[str, float]
    inner: defaultdict[str, float]
    couplings: Counter[str]
    bends: Counter[tuple[str, float]]
    tape: float = 0.0
    ropes: float = 0.0


def _amounts(planned: PlannedSite, sections: tuple[TrenchSection, ...]) -> _Amounts:
    site, duct_m = planned.site, duct_figures().duct_m
    amounts = _Amounts(
        defaultdict(float), defaultdict(float), defaultdict(float), Counter(), Counter()
    )
    for stretch, section in zip(planned.parted.stretches, sections, strict=True):
        laid = planned.ducts[stretch.number]
        for trench, metres in stretch.trenches:
            amounts.dug[site.trenches[trench].surface, round(section.depth, -1)] += metres
        amounts.tape += math.fsum(metres for _, metres in stretch.trenches)
        amounts.ropes += len(laid) * stretch.length
        for duct in laid:
            amounts.ducts[duct.size] += stretch.length
            amounts.inner[planned.inner[stretch.number]] += duct.inner * stretch.length
            amounts.couplings[duct.size] += max(math.ceil(stretch.length / duct_m) - 1, 0)
            for bend in stretch.bends:
                bought = max(round(bend.degrees / _NEAREST), 1) * _NEAREST
                amounts.bends[duct.size, bought] += 1
    return amounts


def _hand_holes(planned: PlannedSite) -> Iterator[SiteQuantity]:
    places = planned.site.places
    points = Counter(
        places[stop.place].kind.value if stop.place is not None else "hand-hole"
        for stop in planned.parted.stops
        if stop.reason is not StopReason.LOOSE_END
    )
    for kind, number in sorted(points.items()):
        yield _so_many(Phrase(f"site/amount/{kind}"), number)


def _cables(planned: PlannedSite) -> Iterator[SiteQuantity]:
    places, unit = planned.site.places, planned.site.unit
    for cable in planned.cables:
        metres = cable_metres(planned, cable)
        if metres:
            values: dict[str, Value] = {
                "kind": kind_phrase(cable.need.kind),
                "one": places[cable.need.start].name,
                "other": places[cable.need.end].name,
            }
            whole = metres * cable.need.count
            yield _measured_off(Phrase("site/amount/cable", values), whole, unit)


def cable_metres(planned: PlannedSite, cable: RoutedCable) -> float:
    """How long one of a need's cables is on all of its ways, with slack in every pull point and at
    its ends; 0 where it has none.

    Args:
        planned: the site.
        cable: of it.

    Returns:
        Metres.
    """
    figures, result = duct_figures(), 0.0
    stretches = planned.parted.stretches
    for way in cable.ways:
        between = len(list(stops_on(way, stretches, cable.need.start))) - 2
        result += math.fsum(stretches[number].length for number in way)
        result += between * figures.slack_m + 2 * figures.end_m
    return result


def _measured_off(what: Phrase, metres: float, unit: Unit) -> SiteQuantity:
    return SiteQuantity(what, metres, "m", DistanceReading(metres, unit))


def _so_many(what: Phrase, number: int) -> SiteQuantity:
    return SiteQuantity(what, number, "", FigureReading(number, 0))
