"""Ways through a site's stretches, what each place hangs on, and second ways: the one room that
imports networkx. Without it, an extra, no way is looked for."""

from __future__ import annotations

import math
from collections.abc import Collection, Iterator, Sequence
from contextlib import suppress
from importlib import import_module
from itertools import pairwise
from typing import Any, Protocol

from yarrow.values import dataclass

networkx: Any = None
with suppress(ImportError):  # the extra yarrow[site] may not be there
    networkx = import_module("networkx")

StretchSequence = tuple[int, ...]
"""Stretches by their numbers, one after the other."""

_OUTWEIGHS = 1e5
"""What the first of two weights counts more than the second."""


def is_installed() -> bool:
    """Whether the extra is there."""
    return networkx is not None


@dataclass(frozen=True, slots=True)
class Edge:
    """A stretch as a graph has it: the stops at its ends, metres, degrees."""

    ends: tuple[int, int]
    length: float
    degrees: float


class Joins(Protocol):
    """Anything that joins two stops, by their numbers."""

    @property
    def ends(self) -> tuple[int, int]:
        """Both of them."""


def walked(
    way: StretchSequence, joins: Sequence[Joins], start: int
) -> Iterator[tuple[int, int, int]]:
    """A way, stretch by stretch: the stop that each leads from, the one that it leads to, and its
    number.

    Args:
        way: from a stop on.
        joins: the stretches, by their numbers.
        start: that stop.

    Returns:
        Stops and stretches by their numbers.
    """
    at = start
    for number in way:
        one, other = joins[number].ends
        beyond = other if at == one else one
        yield at, beyond, number
        at = beyond


class SiteGraph:
    """The stretches of a site as a graph, asked for ways. An edge that ends where it begins leads
    nowhere."""

    def __init__(self, edges: Sequence[Edge]) -> None:
        self._edges = edges
        self._best = {by: self._simple(by) for by in (False, True)}

    def _weight(self, edge: Edge, fewest_bends: bool) -> float:
        """Of an edge, so that what is alike in the one is told apart by the other."""
        first, second = edge.length, edge.degrees
        if fewest_bends:
            first, second = second, first
        return first * _OUTWEIGHS + second + 1e-3

    def _simple(self, fewest_bends: bool, without: Collection[int] = ()) -> Any:
        graph = networkx.Graph()
        for number, edge in enumerate(self._edges):
            one, other = edge.ends
            weight = self._weight(edge, fewest_bends)
            if (
                one != other
                and number not in without
                and (not graph.has_edge(one, other) or graph[one][other]["weight"] > weight)
            ):
                graph.add_edge(one, other, weight=weight, number=number)
        return graph

    def way(
        self, stops: Sequence[int], *, fewest_bends: bool = False, without: Collection[int] = ()
    ) -> StretchSequence | None:
        """The best way from the first of some stops through the others to the last.

        Args:
            stops: two or more.
            fewest_bends: the degrees between pull points count before the metres.
            without: stretches that it may not go through.

        Returns:
            The stretches in order; None where there is no way.
        """
        graph = self._simple(fewest_bends, without) if without else self._best[fewest_bends]
        result: list[int] = []
        for one, other in pairwise(stops):
            if one not in graph or other not in graph:
                return None
            try:
                path = networkx.dijkstra_path(graph, one, other)
            except networkx.NetworkXNoPath:
                return None
            result += [graph[a][b]["number"] for a, b in pairwise(path)]
        return tuple(result)

    def ways_to(
        self, hub: int, stops: Collection[int], *, fewest_bends: bool = False
    ) -> dict[int, StretchSequence]:
        """The best way from each of some stops to one, of those that have a way.

        Args:
            hub: where they lead.
            stops: that they lead from.
            fewest_bends: as of way.

        Returns:
            By the stop that each leads from.
        """
        graph = self._best[fewest_bends]
        if hub not in graph:
            return {}
        paths = networkx.single_source_dijkstra_path(graph, hub)
        return {
            stop: tuple(graph[a][b]["number"] for a, b in pairwise(paths[stop][::-1]))
            for stop in stops
            if stop in paths
        }

    def two_apart(self, start: int, end: int) -> tuple[StretchSequence, StretchSequence] | None:
        """The two ways that share no stretch and are shortest together.

        Args:
            start: a stop.
            end: another.

        Returns:
            The shorter one first; None where every two share a stretch.

        Source:
            Bhandari (1994): a second shortest path, where the first may be gone back along for
            less.
        """
        first = self.way((start, end))
        if not first:
            return None
        used = set(walked(first, self._edges, start))
        residual = networkx.DiGraph()
        for number, edge in enumerate(self._edges):
            one, other = edge.ends
            if number in first or one == other:
                continue
            for a, b in ((one, other), (other, one)):
                if not residual.has_edge(a, b) or residual[a][b]["weight"] > edge.length:
                    residual.add_edge(a, b, weight=edge.length, number=number)
        for a, b, number in used:
            residual.add_edge(b, a, weight=-self._edges[number].length, number=number)
        try:
            path = networkx.bellman_ford_path(residual, start, end)
        except (networkx.NetworkXNoPath, networkx.NodeNotFound):
            return None
        for a, b in pairwise(path):
            number = residual[a][b]["number"]
            if (b, a, number) in used:
                used.remove((b, a, number))
            else:
                used.add((a, b, number))
        ways = [self._taken(used, start, end), self._taken(used, start, end)]
        shorter, longer = sorted(ways, key=self._long)
        return shorter, longer

    def _taken(self, used: set[tuple[int, int, int]], start: int, end: int) -> StretchSequence:
        """A way along some arcs, which are used up."""
        result, at = [], start
        while at != end:
            arc = min(arc_used for arc_used in used if arc_used[0] == at)
            used.remove(arc)
            at = arc[1]
            result.append(arc[2])
        return tuple(result)

    def _long(self, way: StretchSequence) -> float:
        return math.fsum(self._edges[number].length for number in way)

    def hang_on(self, hub: int) -> dict[int, StretchSequence]:
        """The stretches that every way from one stop to each that can be reached from it goes
        through, from that one on.

        Args:
            hub: the one.

        Returns:
            The stretches' numbers, by the stop.

        Source:
            Dominators (Lengauer and Tarjan 1979) of the graph whose stretches are points too.
        """
        arcs = networkx.DiGraph()
        arcs.add_node(("stop", hub))
        for number, edge in enumerate(self._edges):
            for stop in edge.ends:
                arcs.add_edge(("stop", stop), ("stretch", number))
                arcs.add_edge(("stretch", number), ("stop", stop))
        above = networkx.immediate_dominators(arcs, ("stop", hub))
        result: dict[int, StretchSequence] = {hub: ()}
        for kind, stop in above:
            if kind == "stop" and stop != hub:
                through, node = [], ("stop", stop)
                while (node := above.get(node)) and node != ("stop", hub):
                    if node[0] == "stretch":
                        through.append(node[1])
                result[stop] = tuple(reversed(through))
        return result
