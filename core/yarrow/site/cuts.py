"""What one cut takes down, and where a second way would come cheapest."""

from __future__ import annotations

import math
from bisect import bisect_left
from collections import defaultdict
from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass

from yarrow.site.graph import SiteGraph, Way
from yarrow.site.routes import RoutedCable, stops_on
from yarrow.site.site import PlanPoint
from yarrow.site.stretches import StretchesOfSite

Places = Mapping[int, tuple[int, ...]]
"""By the number of a stretch or a stop, the places that something becomes of when it is cut."""


@dataclass(frozen=True, slots=True)
class CutsOfSite:
    """What one cut does. ``dark``: places all of whose cables of a need go there. ``held``: those
    that no way leads round it to, whatever cables were pulled."""

    dark_by_stretch: Places
    dark_by_stop: Places
    held_by_stretch: Places
    second_ways: tuple[SecondWay, ...]


@dataclass(frozen=True, slots=True)
class SecondWay:
    """A new trench, straight from a stop to another, that gives places a second way which shares
    no stretch with the first: those that it ``frees``."""

    ends: tuple[int, int]
    length: float
    frees: tuple[int, ...]


def cuts_of(cables: Sequence[RoutedCable], graph: SiteGraph, parted: StretchesOfSite) -> CutsOfSite:
    """What a cut takes down, stretch by stretch and stop by stop; a place by whose needs' first end
    it is fed from the other.

    Args:
        cables: on their ways.
        graph: of the stretches.
        parted: the site's stops and stretches.
    """
    at = [stop.at for stop in parted.stops]
    by_hub: dict[int, set[int]] = defaultdict(set)
    dark_by_stretch: dict[int, set[int]] = defaultdict(set)
    dark_by_stop: dict[int, set[int]] = defaultdict(set)
    held: dict[int, set[int]] = defaultdict(set)
    for cable in cables:
        start, end = cable.need.start, cable.need.end
        by_hub[end].add(start)
        if cable.ways:
            stretches = set.intersection(*(set(way) for way in cable.ways))
            stops = set.intersection(
                *(set(stops_on(way, parted.stretches, start)) for way in cable.ways)
            )
            for stretch in stretches:
                dark_by_stretch[stretch].add(start)
            for stop in stops - {start, end}:
                dark_by_stop[stop].add(start)
    ways: list[SecondWay] = []
    for hub, places in by_hub.items():
        hang_on = graph.hang_on(hub)
        for place in places & hang_on.keys():
            for stretch in hang_on[place]:
                held[stretch].add(place)
        ways += second_ways(hang_on, places, at)
    ways.sort(key=lambda way: way.length)
    return CutsOfSite(
        dark_by_stretch=_in_order(dark_by_stretch),
        dark_by_stop=_in_order(dark_by_stop),
        held_by_stretch=_in_order(held),
        second_ways=tuple(ways),
    )


def _in_order(found: Mapping[int, set[int]]) -> Places:
    return {number: tuple(sorted(places)) for number, places in found.items()}


def second_ways(
    hang_on: Mapping[int, Way], places: Collection[int], at: Sequence[PlanPoint]
) -> tuple[SecondWay, ...]:
    """For each place that one cut takes down, the shortest trench that frees it; shortest first,
    each trench once.

    A cut at a stretch takes down what lies beyond it. To free a place, a trench has to lead from
    before the first such stretch on its way to beyond the last.

    Args:
        hang_on: of every stop that is reached from where the places are fed from, the stretches.
        places: stops that have cables.
        at: where each stop is, m.
    """
    held = {stop: frozenset(stretches) for stop, stretches in hang_on.items()}
    cut_off = sorted(stop for stop in places if held.get(stop))
    found: dict[tuple[int, int], SecondWay] = {}
    nearest: dict[tuple[int, int], tuple[int, int, float]] = {}
    for place in cut_off:
        ordered = hang_on[place]
        ends = ordered[0], ordered[-1]
        if ends not in nearest:
            before = [stop for stop, on in held.items() if ends[0] not in on]
            beyond = [stop for stop, on in held.items() if ends[1] in on]
            nearest[ends] = _nearest_pair(before, beyond, at)
        one, other, long = nearest[ends]
        covered = held[one] ^ held[other]
        frees = tuple(stop for stop in cut_off if held[stop] <= covered)
        found.setdefault((one, other), SecondWay((one, other), long, frees))
    return tuple(sorted(found.values(), key=lambda way: way.length))


def _nearest_pair(
    some: Sequence[int], others: Sequence[int], at: Sequence[PlanPoint]
) -> tuple[int, int, float]:
    """The two that lie nearest to each other, one of either, and how far apart."""
    by_x = sorted(some, key=lambda stop: at[stop][0])
    places = [at[stop][0] for stop in by_x]
    best: tuple[float, int, int] = (math.inf, some[0], others[0])
    for other in others:
        x = at[other][0]
        begins = bisect_left(places, x)
        for numbers in (range(begins, len(by_x)), range(begins - 1, -1, -1)):
            for number in numbers:
                if abs(places[number] - x) > best[0]:
                    break
                long = math.dist(at[by_x[number]], at[other])
                best = min(best, (long, by_x[number], other))
    return best[1], best[2], best[0]
