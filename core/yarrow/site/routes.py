"""The ways of a site's cables through its stretches."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterator, Sequence

from yarrow.site.graph import SiteGraph, StretchSequence, walked
from yarrow.site.pulls import CablePull, Pulls
from yarrow.site.site import CableNeed, DuctSite
from yarrow.site.stretches import DuctStretch
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class RoutedCable:
    """A need's cables on their way, stretch by stretch; none where there is no way. ``second`` is a
    way that shares no stretch with it, where that was asked for and there is one. A place's number
    is its stop's too."""

    need: CableNeed
    way: StretchSequence | None
    second: StretchSequence | None
    pull: CablePull | None

    @property
    def ways(self) -> tuple[StretchSequence, ...]:
        """One, two, or none."""
        return tuple(way for way in (self.way, self.second) if way)


def routed(
    site: DuctSite, graph: SiteGraph, stretches: Sequence[DuctStretch], radii: Sequence[float]
) -> tuple[RoutedCable, ...]:
    """Every need's cables on their way: the shortest, the one with the fewest bends, or the one
    that somebody picked; of two, those that share no stretch, or the best that shares none with the
    one that was picked.

    Args:
        site: as it was told.
        graph: of its stretches.
        stretches: of the site.
        radii: of the sweeps of each, m.
    """
    eased = {number for number, place in enumerate(site.places) if place.feeding != "none"}
    plain, pulls = _plain_ways(site, graph), Pulls(stretches, radii, eased)
    routed_cables = []
    for number, need in enumerate(site.cables):
        ends, way, second = (need.start, need.end), plain.get(number), None
        if need.via:
            stops = (need.start, *need.via, need.end)
            way = graph.way(stops, fewest_bends=need.fewest_bends)
            if need.second and way:
                second = graph.way(ends, fewest_bends=need.fewest_bends, without=way)
        elif need.second and (both := graph.two_apart(*ends)):
            way, second = both
        routed_cables.append(RoutedCable(need, way, second, pulls.of(need, way) if way else None))
    return tuple(routed_cables)


def _plain_ways(site: DuctSite, graph: SiteGraph) -> dict[int, StretchSequence]:
    """The ways of those that nothing else is asked of, all of a hub's at once."""
    by_hub: dict[tuple[int, bool], list[int]] = defaultdict(list)
    for number, need in enumerate(site.cables):
        by_hub[need.end, need.fewest_bends].append(number)
    result = {}
    for (hub, fewest_bends), numbers in by_hub.items():
        starts = {site.cables[number].start for number in numbers}
        ways = graph.ways_to(hub, starts, fewest_bends=fewest_bends)
        for number in numbers:
            if site.cables[number].start in ways:
                result[number] = ways[site.cables[number].start]
    return result


def stops_on(way: StretchSequence, stretches: Sequence[DuctStretch], start: int) -> Iterator[int]:
    """The stops of a way, its ends too.

    Args:
        way: stretch by stretch.
        stretches: of the site.
        start: the stop that it begins at.

    Returns:
        By their numbers, in order.
    """
    yield start
    for _, beyond, _ in walked(way, stretches, start):
        yield beyond
