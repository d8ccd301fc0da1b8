"""Trenches as a network: where they meet each other and the places, and the chains between."""

from __future__ import annotations

import math
from collections import defaultdict
from collections.abc import Iterator, Sequence
from itertools import islice, pairwise

from yarrow.measure import ieee
from yarrow.site.site import DuctSite, PlanPoint
from yarrow.values import dataclass

MEETS_M = 0.05
"""So near, two points of a plan are one: a working figure, far below what is dug."""

_CELLS = 200
_LEAST_CELL_M = 20.0
"""Segments and points are looked for by squares: so many across the whole, but none smaller."""

_MOST_MEETINGS = 20_000
"""Points on trenches, a point of two counted twice."""

_MOST_CROSSINGS = 100
"""So many are told: a plan with more is none."""

_MOST_PAIRS = 300_000
"""Segments near one another that are looked at: ten times what a large site has."""

Segment = tuple[PlanPoint, PlanPoint]


@dataclass(frozen=True, slots=True)
class Chain:
    """Trench from one place, branch or loose end to the next: its line, which trench each of its
    segments is of, and the numbers of the nodes at its ends."""

    ends: tuple[int, int]
    line: tuple[PlanPoint, ...]
    trenches: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class SiteNode:
    """A point that trenches come to: the number of its ``place`` (None: they meet in the open), and
    of ``trench_ends`` how many there are."""

    at: PlanPoint
    place: int | None
    trench_ends: int


@dataclass(frozen=True, slots=True)
class Crossing:
    """Two trenches, or one with itself, that cross and do not meet: their numbers and where."""

    trenches: tuple[int, int]
    at: PlanPoint


@dataclass(frozen=True, slots=True)
class TrenchNetwork:
    """The nodes, the chains between them, where trenches cross, and those of no length."""

    nodes: tuple[SiteNode, ...]
    chains: tuple[Chain, ...]
    crossings: tuple[Crossing, ...]
    of_no_length: tuple[int, ...]


class TooDense(ValueError):
    """Trenches lie on one another more often than any that are dug."""


@dataclass(slots=True)
class _Part:
    """A trench from node to node."""

    trench: int
    ends: tuple[int, int]
    line: list[PlanPoint]


class _Nodes:
    """Nodes as they are found: points that are near one are that one."""

    def __init__(self) -> None:
        self.points: list[PlanPoint] = []
        self.places: list[int | None] = []
        self._near: dict[tuple[int, int], list[int]] = defaultdict(list)

    def at(self, point: PlanPoint) -> int | None:
        """The node there.

        Args:
            point: in metres.
        """
        x, y = round(point[0] / MEETS_M), round(point[1] / MEETS_M)
        for square in ((x + i, y + j) for i in (-1, 0, 1) for j in (-1, 0, 1)):
            for number in self._near.get(square, ()):
                if math.dist(self.points[number], point) <= MEETS_M:
                    return number
        return None

    def put(self, point: PlanPoint, place: int | None = None) -> int:
        """The node there, a new one where there is none.

        Args:
            point: in metres.
        """
        result = self.at(point)
        if result is None:
            result = len(self.points)
            self.points.append(point)
            self.places.append(place)
            self._near[round(point[0] / MEETS_M), round(point[1] / MEETS_M)].append(result)
        return result


def network_of(site: DuctSite) -> TrenchNetwork:
    """The network that the trenches of a site make.

    A trench meets another where one of its points lies on that one, and a place where that one's
    entry lies on it. Trenches that only cross do not meet.

    Args:
        site: as it was told.

    Raises:
        TooDense.
    """
    lines = [_cleaned(trench.line) for trench in site.trenches]
    nodes = _Nodes()
    for number, place in enumerate(site.places):
        for entry in place.entries:
            nodes.put(entry, number)
    squares = _Squares(lines)
    splits: dict[int, list[tuple[float, int]]] = defaultdict(list)
    points = {point: None for line in lines if len(line) > 1 for point in line}
    points |= dict.fromkeys(entry for place in site.places for entry in place.entries)
    meetings = 0
    for point in points:
        for trench, along in squares.lying_on(point):
            splits[trench].append((along, nodes.put(point)))
            meetings += 1
            if meetings > _MOST_MEETINGS:
                raise TooDense
    parts: list[_Part] = []
    for trench, line in enumerate(lines):
        if len(line) > 1:
            parts += _trench_parts(trench, line, sorted(splits[trench]), nodes)
    ends: dict[int, list[tuple[int, int]]] = defaultdict(list)
    for number, part in enumerate(parts):
        for side in (0, 1):
            ends[part.ends[side]].append((number, side))
    site_nodes = tuple(
        SiteNode(point, nodes.places[number], len(ends[number]))
        for number, point in enumerate(nodes.points)
    )
    return TrenchNetwork(
        site_nodes,
        tuple(_chains(parts, ends, site_nodes)),
        tuple(islice(_where_crossed(lines, squares.near, nodes), _MOST_CROSSINGS)),
        tuple(number for number, line in enumerate(lines) if len(line) < 2),
    )


def _cleaned(line: Sequence[PlanPoint]) -> list[PlanPoint]:
    """Without points that lie on the one before them."""
    result = [line[0]]
    for point in line[1:]:
        if math.dist(point, result[-1]) > MEETS_M:
            result.append(point)
    return result


class _Squares:
    """The segments of all trenches by the squares that they come near."""

    def __init__(self, lines: Sequence[Sequence[PlanPoint]]) -> None:
        points = [point for line in lines for point in line] or [(0.0, 0.0)]
        across = max(
            max(point[at] for point in points) - min(point[at] for point in points) for at in (0, 1)
        )
        self._side = max(across / _CELLS, _LEAST_CELL_M)
        self._lines = lines
        self.near: dict[tuple[int, int], list[tuple[int, int]]] = defaultdict(list)
        for trench, line in enumerate(lines):
            for number, (one, other) in enumerate(pairwise(line)):
                for square in self._gone_through(one, other):
                    self.near[square].append((trench, number))

    def _column(self, at: float) -> int:
        return math.floor(at / self._side)

    def _gone_through(self, one: PlanPoint, other: PlanPoint) -> Iterator[tuple[int, int]]:
        (x, y), (u, v) = one, other
        for i in range(self._column(min(x, u) - 1), self._column(max(x, u) + 1) + 1):
            low, high = sorted((y, v))
            if abs(u - x) > self._side:
                # Of a long slanting segment, those squares alone that it goes through.
                heights = [
                    y + (v - y) * min(max((edge - x) / (u - x), 0.0), 1.0)
                    for edge in (i * self._side - 1, (i + 1) * self._side + 1)
                ]
                low, high = min(heights), max(heights)
            for j in range(self._column(low - 1), self._column(high + 1) + 1):
                yield i, j

    def lying_on(self, point: PlanPoint) -> Iterator[tuple[int, float]]:
        """The trenches that a point lies on, and how far along each, m.

        Args:
            point: in metres.
        """
        for trench, number in self.near.get((self._column(point[0]), self._column(point[1])), ()):
            line = self._lines[trench]
            one, other = line[number], line[number + 1]
            ahead = max(0.0, min(1.0, _share_along(point, one, other)))
            foot = (one[0] + ahead * (other[0] - one[0]), one[1] + ahead * (other[1] - one[1]))
            if math.dist(point, foot) <= MEETS_M:
                yield trench, length_m(line[: number + 1]) + math.dist(one, foot)


def _share_along(point: PlanPoint, one: PlanPoint, other: PlanPoint) -> float:
    """How far along a segment a point's foot lies, 1 at its end."""
    across, up = other[0] - one[0], other[1] - one[1]
    ahead = (point[0] - one[0]) * across + (point[1] - one[1]) * up
    return ahead / (ieee.square(across) + ieee.square(up))


def length_m(line: Sequence[PlanPoint]) -> float:
    """How long a line is.

    Args:
        line: points in metres.

    Returns:
        Metres.
    """
    return math.fsum(math.dist(*segment) for segment in pairwise(line))


def part_of(line: Sequence[PlanPoint], begins: float, ends: float) -> list[PlanPoint]:
    """A line from one place along it to another.

    Args:
        line: points in metres.
        begins: metres along it.
        ends: likewise, beyond it.
    """
    result, along = [point_along(line, begins)], 0.0
    for one, other in pairwise(line):
        along += math.dist(one, other)
        if begins + 1e-9 < along < ends - 1e-9:
            result.append(other)
    return [*result, point_along(line, ends)]


def point_along(line: Sequence[PlanPoint], at: float) -> PlanPoint:
    """The point so far along a line.

    Args:
        line: points in metres.
        at: metres.
    """
    for one, other in pairwise(line):
        long = math.dist(one, other)
        if at <= long:
            share = max(at, 0.0) / long
            return one[0] + share * (other[0] - one[0]), one[1] + share * (other[1] - one[1])
        at -= long
    return line[-1]


def _trench_parts(
    trench: int, line: list[PlanPoint], splits: Sequence[tuple[float, int]], nodes: _Nodes
) -> Iterator[_Part]:
    for (begins, one), (ends, other) in pairwise(splits):
        if ends - begins > MEETS_M:
            cut = part_of(line, begins, ends)
            cut[0], cut[-1] = nodes.points[one], nodes.points[other]
            yield _Part(trench, (one, other), cut)


def _chains(
    parts: Sequence[_Part], ends: dict[int, list[tuple[int, int]]], nodes: Sequence[SiteNode]
) -> Iterator[Chain]:
    """Parts strung together where nothing but they meet. A ring of trench that meets nothing is
    strung from wherever it was begun."""

    def goes_on(node: int) -> bool:
        return nodes[node].place is None and nodes[node].trench_ends == 2

    done: set[int] = set()

    def strung(part: int, side: int) -> Chain:
        begun = parts[part].ends[side]
        line, trenches = [nodes[begun].at], []
        while True:
            done.add(part)
            points = parts[part].line if side == 0 else parts[part].line[::-1]
            line += points[1:]
            trenches += [parts[part].trench] * (len(points) - 1)
            node = parts[part].ends[1 - side]
            if not goes_on(node) or node == begun:
                return Chain((begun, node), tuple(line), tuple(trenches))
            part, side = next(end for end in ends[node] if end != (part, 1 - side))

    for number, part in enumerate(parts):
        for side in (0, 1):
            if number not in done and not goes_on(part.ends[side]):
                yield strung(number, side)
    for number in range(len(parts)):
        if number not in done:
            yield strung(number, 0)


def _where_crossed(
    lines: Sequence[Sequence[PlanPoint]],
    squares: dict[tuple[int, int], list[tuple[int, int]]],
    nodes: _Nodes,
) -> Iterator[Crossing]:
    seen = set()
    for members in squares.values():
        for at, (trench, number) in enumerate(members):
            one = lines[trench][number], lines[trench][number + 1]
            for other_trench, other_number in members[at + 1 :]:
                pair = (trench, number, other_trench, other_number)
                if pair in seen:
                    continue
                seen.add(pair)
                if len(seen) > _MOST_PAIRS:
                    return
                if trench == other_trench and abs(number - other_number) < 2:
                    continue
                line = lines[other_trench]
                point = _crossed(one, (line[other_number], line[other_number + 1]))
                # Where two meet at a node of the network they do not cross; one with itself does.
                if point and (trench == other_trench or nodes.at(point) is None):
                    yield Crossing((trench, other_trench), point)


def _crossed(one: Segment, other: Segment) -> PlanPoint | None:
    """Where two segments cross, each within the other's length."""
    (ax, ay), (bx, by) = one
    (cx, cy), (dx, dy) = other
    across = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx)
    if abs(across) < 1e-12:
        return None
    s = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / across
    t = ((cx - ax) * (by - ay) - (cy - ay) * (bx - ax)) / across
    if not (0 <= s <= 1 and 0 <= t <= 1):
        return None
    return ax + s * (bx - ax), ay + s * (by - ay)
