"""What one cut takes down, and where a second way would come cheapest."""

from __future__ import annotations

import math
from bisect import bisect_left
from collections import defaultdict
from collections.abc import Mapping, Sequence

from yarrow.site.graph import SiteGraph, StretchSequence
from yarrow.site.routes import RoutedCable, stops_on
from yarrow.site.site import PlanPoint
from yarrow.site.stretches import StretchesOfSite
from yarrow.values import dataclass

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
class PlaceNeeds:
    """What a place hangs on: the stretches that all of its ways to a hub go ``through``, of all of
    its hubs; ``hub``, the first of those that it reaches."""

    hub: int
    through: frozenset[int]


@dataclass(frozen=True, slots=True)
class SecondWay:
    """A new trench, straight from a stop to another, that gives places second ways to all of their
    hubs, which share no stretch with the first: those that it ``frees``."""

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
    hubs: dict[int, set[int]] = defaultdict(set)
    dark_by_stretch: dict[int, set[int]] = defaultdict(set)
    dark_by_stop: dict[int, set[int]] = defaultdict(set)
    for cable in cables:
        start, end = cable.need.start, cable.need.end
        hubs[start].add(end)
        if cable.ways:
            stretches = set.intersection(*(set(way) for way in cable.ways))
            stops = set.intersection(
                *(set(stops_on(way, parted.stretches, start)) for way in cable.ways)
            )
            for stretch in stretches:
                dark_by_stretch[stretch].add(start)
            for stop in stops - {start, end}:
                dark_by_stop[stop].add(start)
    hang_on = {hub: graph.hang_on(hub) for hub in set().union(*hubs.values())}
    needs: dict[int, PlaceNeeds] = {}
    held: dict[int, set[int]] = defaultdict(set)
    for place, of_place in hubs.items():
        reached = sorted(hub for hub in of_place if place in hang_on[hub])
        through = frozenset(stretch for hub in reached for stretch in hang_on[hub][place])
        for stretch in through:
            held[stretch].add(place)
        if through:
            needs[place] = PlaceNeeds(reached[0], through)
    return CutsOfSite(
        dark_by_stretch=_in_order(dark_by_stretch),
        dark_by_stop=_in_order(dark_by_stop),
        held_by_stretch=_in_order(held),
        second_ways=second_ways(hang_on, needs, at),
    )


def _in_order(result: Mapping[int, set[int]]) -> Places:
    return {number: tuple(sorted(places)) for number, places in result.items()}


def second_ways(
    hang_on: Mapping[int, Mapping[int, StretchSequence]],
    needs: Mapping[int, PlaceNeeds],
    at: Sequence[PlanPoint],
) -> tuple[SecondWay, ...]:
    """For each place that one cut takes down, the shortest trench that frees it of any one cut,
    where one trench can; shortest first, each trench once.

    A stretch that all ways to a hub go through parts the stops in two. A trench gives a second way
    past it where it leads from one side to the other, so it frees a place whose stretches, to all
    of its hubs, lie between its ends.

    Args:
        hang_on: by hub, of every stop that is reached from it, the stretches.
        needs: by place, what it hangs on.
        at: where each stop is, m.
    """
    beyond = {
        hub: {stop: frozenset(stretches) for stop, stretches in of_stop.items()}
        for hub, of_stop in hang_on.items()
    }
    result: dict[tuple[int, int], SecondWay] = {}
    nearest: dict[frozenset[int], tuple[int, int, float] | None] = {}
    for place in sorted(needs):
        need = needs[place]
        parted_by = beyond[need.hub]
        if need.through not in nearest:
            nearest[need.through] = _nearest_across(need.through, parted_by, at)
        pair = nearest[need.through]
        if pair is None:
            continue
        one, other, long = pair
        covered = parted_by[one] ^ parted_by[other]
        frees = tuple(stop for stop in sorted(needs) if needs[stop].through <= covered)
        result.setdefault((one, other), SecondWay((one, other), long, frees))
    return tuple(sorted(result.values(), key=lambda way: way.length))


def _nearest_across(
    through: frozenset[int], parted_by: Mapping[int, frozenset[int]], at: Sequence[PlanPoint]
) -> tuple[int, int, float] | None:
    """The two nearest stops that lie on different sides of each of some stretches; None where no
    two do."""
    by_side: dict[frozenset[int], list[int]] = defaultdict(list)
    for stop, stretches in parted_by.items():
        by_side[stretches & through].append(stop)
    pairs = [
        _nearest_pair(stops, by_side[through - side], at)
        for side, stops in by_side.items()
        if through - side in by_side and sorted(side) <= sorted(through - side)
    ]
    return min(pairs, key=lambda pair: pair[2], default=None)


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
