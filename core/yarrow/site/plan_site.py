"""A site planned: its pull points, ways, ducts and cuts, worked out one from the other."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Sequence

from yarrow.catalog.ducts import duct_sizes
from yarrow.site.cuts import CutsOfSite, cuts_of
from yarrow.site.ducts import LaidDuct, inner_count, laid_ducts
from yarrow.site.graph import Edge, SiteGraph
from yarrow.site.network import TrenchNetwork, network_of
from yarrow.site.routes import RoutedCable, routed
from yarrow.site.site import CableNeed, DuctSite
from yarrow.site.stretches import DuctStretch, StretchesOfSite, stretches_of
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class PlannedSite:
    """Everything that is worked out of a site. By stretch: its ``ducts``, their trade size,
    that of the ``inner`` ones (empty: none), the radius of its sweeps, m, and its cover, mm."""

    site: DuctSite
    network: TrenchNetwork
    parted: StretchesOfSite
    cables: tuple[RoutedCable, ...]
    ducts: tuple[tuple[LaidDuct, ...], ...]
    sizes: tuple[str, ...]
    inner: tuple[str, ...]
    radii: tuple[float, ...]
    covers: tuple[float, ...]
    cuts: CutsOfSite


def planned_site(site: DuctSite) -> PlannedSite:
    """A site with its pull points, the ways of its cables, its ducts and what a cut takes down.

    Args:
        site: as it was told.

    Source:
        docs/ducts.md.
    """
    network = network_of(site)
    parted = stretches_of(site, network)
    stretches = parted.stretches
    graph = SiteGraph(
        [Edge(stretch.ends, stretch.length, stretch.degrees) for stretch in stretches]
    )
    sizes = tuple(_size_of(site, stretch) for stretch in stretches)
    radii = tuple(_radius_of(site, stretch) for stretch in stretches)
    inner = tuple(_inner_of(site, stretch, sizes[stretch.number]) for stretch in stretches)
    cables = routed(site, graph, stretches, radii)
    lying: dict[int, list[tuple[int, CableNeed]]] = defaultdict(list)
    for number, cable in enumerate(cables):
        for way in cable.ways:
            for stretch in way:
                lying[stretch].append((number, cable.need))
    ducts = tuple(
        laid_ducts(
            size,
            lying[number],
            site.future,
            _to_building(site, lying[number]),
            inner[number],
        )
        for number, size in enumerate(sizes)
    )
    return PlannedSite(
        site=site,
        network=network,
        parted=parted,
        cables=cables,
        ducts=ducts,
        sizes=sizes,
        inner=inner,
        radii=radii,
        covers=tuple(
            max(site.trenches[trench].cover_mm for trench, _ in stretch.trenches)
            for stretch in stretches
        ),
        cuts=cuts_of(cables, graph, parted),
    )


def _size_of(site: DuctSite, stretch: DuctStretch) -> str:
    """The largest of the trenches that it lies in: a duct does not change on its way."""
    names = [site.trenches[trench].duct for trench, _ in stretch.trenches]
    return max(names, key=lambda size: duct_sizes()[size].inside_mm)


def _inner_of(site: DuctSite, stretch: DuctStretch, size: str) -> str:
    """What is drawn into the ducts of a stretch: where one of its trenches has some that go in."""
    inner = [site.trenches[trench].inner for trench, _ in stretch.trenches]
    return next((name for name in inner if name and inner_count(size, name)), "")


def _radius_of(site: DuctSite, stretch: DuctStretch) -> float:
    """The tightest of its trenches' sweeps, m."""
    return min(site.trenches[trench].radius_mm for trench, _ in stretch.trenches) / 1000


def _to_building(site: DuctSite, lying: Sequence[tuple[int, CableNeed]]) -> bool:
    ends = {end for _, need in lying for end in (need.start, need.end)}
    return any(site.places[end].kind.rises for end in ends)
