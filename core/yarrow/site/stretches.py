"""A site's stretches: what lies between two neighbouring pull points, and the pull points."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from enum import StrEnum
from itertools import pairwise

from yarrow.site.network import TrenchNetwork, part_of
from yarrow.site.site import DuctSite, PlanPoint, SitePlace
from yarrow.site.stops import DuctBend, DuctWay, PullPointsOfWay, fewest_between, way_of
from yarrow.values import dataclass


class StopReason(StrEnum):
    """Why there is a pull point."""

    PLACE = "place"
    BRANCH = "branch"
    ON_THE_WAY = "on-the-way"
    LOOSE_END = "loose-end"


@dataclass(frozen=True, slots=True)
class Stop:
    """Where ducts can be got hold of: its ``place`` in the document (None: Yarrow puts one there),
    what it is called in full and on a label, why it is there. A building with several entries is
    one stop. A loose end is none that anything is pulled at."""

    at: PlanPoint
    place: int | None
    name: str
    code: str
    reason: StopReason


@dataclass(frozen=True, slots=True)
class DuctStretch:
    """Ducts from a stop to the next, by their numbers: the line on the plan, the trenches that they
    lie in with the metres in each; how long with rises, how far it turns, and the bends, metres
    from its first end."""

    number: int
    ends: tuple[int, int]
    line: tuple[PlanPoint, ...]
    trenches: tuple[tuple[int, float], ...]
    rises: tuple[float, float]
    length: float
    degrees: float
    bends: tuple[DuctBend, ...]


@dataclass(frozen=True, slots=True)
class StretchesOfSite:
    """All stops and stretches; of each way between given stops, the pull points that it needs."""

    stops: tuple[Stop, ...]
    stretches: tuple[DuctStretch, ...]
    ways: tuple[tuple[DuctWay, PullPointsOfWay], ...]


def stretches_of(site: DuctSite, network: TrenchNetwork) -> StretchesOfSite:
    """A site parted at its pull points: those that are there, one at each branch, and the fewest
    besides.

    Args:
        site: as it was told.
        network: of its trenches.
    """
    stops: list[Stop] = []
    codes = _codes(site.places)
    taken = {place.name for place in site.places} | set(codes)
    stop_of_node: dict[int, int] = {}
    names = _new_names(taken)
    # A place's number is its stop's too.
    for number, place in enumerate(site.places):
        reason = StopReason.PLACE
        stops.append(Stop(place.entries[0], number, place.name, codes[number], reason))
    for number, node in enumerate(network.nodes):
        if node.place is not None:
            stop_of_node[number] = node.place
    for chain in network.chains:
        for end in chain.ends:
            if end not in stop_of_node:
                node = network.nodes[end]
                loose = node.trench_ends == 1
                name = "" if loose else next(names)
                reason = StopReason.LOOSE_END if loose else StopReason.BRANCH
                stop_of_node[end] = len(stops)
                stops.append(Stop(node.at, None, name, name, reason))
    stretches: list[DuctStretch] = []
    ways = []
    for chain in network.chains:
        way = way_of(site, network, chain)
        points = fewest_between(way, site.rules)
        ways.append((way, points))
        numbers = [stop_of_node[chain.ends[0]]]
        for along in points.places:
            name = next(names)
            numbers.append(len(stops))
            at = part_of(chain.line, 0.0, along - way.rises[0])[-1]
            stops.append(Stop(at, None, name, name, StopReason.ON_THE_WAY))
        numbers.append(stop_of_node[chain.ends[1]])
        places = (0.0, *points.places, way.whole)
        for ends, (begins, stands) in zip(pairwise(numbers), pairwise(places), strict=True):
            stretches.append(_duct_stretch(len(stretches), ends, way, begins, stands))
    return StretchesOfSite(tuple(stops), tuple(stretches), tuple(ways))


def _duct_stretch(
    number: int, ends: tuple[int, int], way: DuctWay, begins: float, stands: float
) -> DuctStretch:
    """Args: begins and stands, where it begins and ends along its way, m."""
    foot, top = way.rises[0], way.whole - way.rises[1]
    low, high = max(begins, foot) - foot, min(stands, top) - foot
    return DuctStretch(
        number=number,
        ends=ends,
        line=tuple(part_of(way.chain.line, low, high)),
        trenches=tuple(_by_trench(way, low, high)),
        rises=(
            way.rises[0] if begins == 0.0 else 0.0,
            way.rises[1] if stands == way.whole else 0.0,
        ),
        length=stands - begins,
        degrees=way.degrees(begins, stands),
        bends=way.bends_between(begins, stands),
    )


def _by_trench(way: DuctWay, low: float, high: float) -> Iterator[tuple[int, float]]:
    """The trenches from one place along a chain to another, with the metres in each."""
    at, last, metres = 0.0, -1, 0.0
    for trench, segment in zip(way.chain.trenches, pairwise(way.chain.line), strict=True):
        long = math.dist(*segment)
        within = min(at + long, high) - max(at, low)
        at += long
        if within <= 1e-9:
            continue
        if trench != last and last >= 0:
            yield last, metres
            metres = 0.0
        last, metres = trench, metres + within
    if last >= 0:
        yield last, metres


def _codes(places: Sequence[SitePlace]) -> list[str]:
    """What each place is called on a label: its name where that is short, else the first letters of
    its words; with a number where another is called so."""
    result: list[str] = []
    for place in places:
        words = place.name.split()
        short = "".join(word[0] for word in words[:3]).upper() if len(words) > 1 else words[0][:3]
        code = place.name if len(place.name) <= 4 else short.upper()
        number = 2
        while code in result:
            code, number = f"{short.upper()}{number}", number + 1
        result.append(code)
    return result


def _new_names(taken: set[str]) -> Iterator[str]:
    number = 0
    while True:
        number += 1
        if f"P{number}" not in taken:
            yield f"P{number}"
