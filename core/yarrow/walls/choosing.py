"""Which knockout every feed leaves its boxes by, and which line of holes it goes along where nobody
said: chosen for all feeds together, so that one is blamed only where no choice is clean."""

from __future__ import annotations

import math
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import field
from itertools import combinations, product

from yarrow.findings.code import Level
from yarrow.findings.finding import Finding
from yarrow.values import dataclass, replace
from yarrow.walls.checks import findings_of_leaving
from yarrow.walls.knockouts import KnockoutExit, KnockoutExits, leavings, leavings_of_edge
from yarrow.walls.route_checks import Pipework, findings_of_route
from yarrow.walls.routes import BenderRoom, Route, route
from yarrow.walls.wall import Edge, Feed, FeedEnd, FramedWall, WallBox

_BY_LEVEL: dict[Level, float] = {"error": 1000.0, "warning": 30.0, "note": 0.0}
"""What a finding counts against others: no number of warnings that a wall has is worth an error."""

_NO_KNOCKOUT = 5000.0
"""A feed that has no hole to leave by is worse than anything that is wrong with one that has."""

_TAKEN = 1e6
"""Two pipes through one knockout: never."""

_SIDE, _ASIDE, _LINE, _OTHER = 4.0, 1.0, 2.0, 0.1
"""Among equals: a side of a box rather not, nor far from its middle, nor a later line, nor another
choice than the first."""

_OPTIONS = 80
"""Ways of one feed that are looked at, at most."""

_ROUTES, _OF_STUDS, _FEWEST_ROUTES = 2400, 40, 8
"""Ways of all feeds that are worked out, at most, on a wall of so many studs (fewer on a longer
one, whose ways go through more), and of one at the least: of very many feeds those that are wanted
most."""

_WORK = 1500
"""Pairs of ways that are held against each other in one wall, at most: then the best so far is
taken."""


@dataclass(frozen=True, slots=True)
class ChosenWays:
    """The ways of a wall's feeds with the knockouts that they leave by, and the feeds that have no
    knockout left at a box."""

    knockouts: KnockoutExits
    routes: tuple[Route, ...]
    without: tuple[tuple[Feed, WallBox], ...]


@dataclass(frozen=True, slots=True, eq=False)
class _FeedOption:
    """A way that a feed may go: the knockouts at its ends (None: it goes out of the wall there), or
    none where it has no hole to leave by; what it costs by itself. Known by itself and not by what
    is in it: what two cost beside each other is remembered."""

    feed: Feed
    leaves: tuple[KnockoutExit | None, KnockoutExit | None]
    way: Route | None
    cost: float
    pipework: Pipework | None

    @classmethod
    def without_a_way(cls, feed: Feed) -> _FeedOption:
        """Of a feed that has no hole to leave by."""
        return cls(feed, (None, None), None, _NO_KNOCKOUT, None)

    @property
    def boxes(self) -> Iterator[tuple[int, KnockoutExit]]:
        """Its knockouts, by the number of the box."""
        for end, leaving in zip(self.feed.ends, self.leaves, strict=True):
            if leaving is not None:
                yield end.place, leaving


def chosen_ways(wall: FramedWall, room: BenderRoom) -> ChosenWays:
    """The ways of all feeds: first as each would go by itself; where something is wrong then, those
    that are about it are chosen anew, together with the feeds of the same boxes.

    Args:
        wall: as it was read.
        room: that the bender leaves, in the wall's unit.

    Source:
        docs/pieces-and-walls.md, framed walls.
    """
    search = _WaySearch(wall, room)
    taken = {feed.number: search.at_first(feed) for feed in search.feeds}
    for _ in range(_ROUNDS):
        wrong = search.wrong(taken)
        if not wrong:
            break
        before = dict(taken)
        for group in search.groups(taken, wrong):
            taken |= search.best(group, taken)
        if taken == before:
            break
    return search.chosen(taken)


_ROUNDS = 3
"""Ways that are chosen anew may come to meet others that were not."""


@dataclass(slots=True)
class _WaySearch:
    """The ways that feeds may go, and what they cost side by side; each is worked out once."""

    wall: FramedWall
    room: BenderRoom
    feeds: tuple[Feed, ...] = ()
    first: KnockoutExits = field(default_factory=dict)
    work: int = _WORK
    options: dict[int, list[_FeedOption]] = field(default_factory=dict)
    pairs: dict[tuple[_FeedOption, _FeedOption], float] = field(default_factory=dict)

    def __post_init__(self) -> None:
        self.feeds = tuple(feed for feed in self.wall.feeds if feed.start.place != feed.end.place)
        self.first = leavings(self.wall)

    def at_first(self, feed: Feed) -> _FeedOption:
        """A feed as it goes by itself."""
        leaves = [
            self.first[end.place, feed.number] if self.wall.box_of(end) else None
            for end in feed.ends
        ]
        for end, leaving in zip(feed.ends, leaves, strict=True):
            box = self.wall.box_of(end)
            if leaving and box and box.kind and not leaving.name:
                return _FeedOption.without_a_way(feed)
        return self._option(feed, (leaves[0], leaves[1]), 0.0)

    def _option(
        self, feed: Feed, leaves: tuple[KnockoutExit | None, KnockoutExit | None], rather_not: float
    ) -> _FeedOption:
        there = {
            (end.place, feed.number): leaving
            for end, leaving in zip(feed.ends, leaves, strict=True)
            if leaving is not None
        }
        way = route(self.wall, feed, there, self.room)
        findings = [*findings_of_route(self.wall, way)]
        for (place, _), leaving in there.items():
            findings += findings_of_leaving(self.wall.boxes[place], leaving)
        return _FeedOption(feed, leaves, way, _counted(findings) + rather_not, Pipework.of(way))

    def wrong(self, taken: Mapping[int, _FeedOption]) -> set[int]:
        """The feeds that something is wrong with, by themselves or beside another."""
        result = {number for number, option in taken.items() if option.cost >= _WRONG}
        for one, other in combinations(taken.values(), 2):
            if self.beside(one, other) >= _WRONG:
                result |= {one.feed.number, other.feed.number}
        return result

    def groups(self, taken: Mapping[int, _FeedOption], wrong: set[int]) -> list[list[Feed]]:
        """The feeds that hang together with one that is wrong: by a box, or as they meet."""
        group_of = {number: {number} for number in taken}
        for one, other in combinations(taken.values(), 2):
            boxes = {end.place for end in one.feed.ends if self.wall.box_of(end)}
            together = any(end.place in boxes for end in other.feed.ends)
            if together or self.beside(one, other) >= _WRONG:
                whole = group_of[one.feed.number] | group_of[other.feed.number]
                for number in whole:
                    group_of[number] = whole
        result = {min(group): group for number, group in group_of.items() if group & wrong}
        return [[feed for feed in self.feeds if feed.number in group] for group in result.values()]

    def options_of(self, feed: Feed) -> list[_FeedOption]:
        """All ways that a feed may go, the best by themselves first; last, none."""
        if feed.number not in self.options:
            lines = range(len(self.wall.lines)) if feed.any_line else (feed.line,)
            wanted: list[tuple[float, Feed, tuple[KnockoutExit | None, KnockoutExit | None]]] = []
            for line in lines:
                on_line = replace(feed, line=line)
                ends = [list(self._leaves(on_line, end)) for end in feed.ends]
                for (one, by_one), (other, by_other) in product(*ends):
                    wanted.append((by_one + by_other + _LINE * line, on_line, (one, other)))
            wanted.sort(key=lambda pair: pair[0])
            share = _ROUTES * _OF_STUDS / max(len(self.wall.studs.all), _OF_STUDS)
            most = max(int(share / len(self.feeds)), _FEWEST_ROUTES)
            result = [
                self._option(on_line, leaves, rather_not)
                for rather_not, on_line, leaves in wanted[:most]
            ]
            result.sort(key=lambda option: option.cost)
            self.options[feed.number] = [*result[:_OPTIONS], _FeedOption.without_a_way(feed)]
        return self.options[feed.number]

    def _leaves(self, feed: Feed, end: FeedEnd) -> Iterator[tuple[KnockoutExit | None, float]]:
        """The knockouts that a feed may leave a box by, and how little each is wanted."""
        box = self.wall.box_of(end)
        if box is None:
            yield None, 0.0
            return
        first = self.first[end.place, feed.number]
        if end.knockout or box.kind is None:
            yield first, 0.0
            if not end.knockout:
                # Places of no kind's box can be changed with the others of that edge.
                others = {
                    leaving.off: leaving
                    for (place, number), leaving in self.first.items()
                    if place == end.place and leaving.edge == first.edge and number != feed.number
                }
                for another in others.values():
                    yield replace(another, feed=feed.number), _OTHER
            return
        for edge in self._edges(feed, end, box):
            side = _SIDE if edge in ("left", "right") else 0.0
            for leaving in leavings_of_edge(box, edge, feed.number):
                other = _OTHER if leaving.name != first.name else 0.0
                yield leaving, side + other + _ASIDE * abs(leaving.off) / box.width

    def _edges(self, feed: Feed, end: FeedEnd, box: WallBox) -> Iterator[Edge]:
        outs = [out for one in feed.ends if (out := self.wall.way_out_of(one))]
        if self.wall.goes_straight(feed):
            yield outs[0].plate
            return
        height = self.wall.lines[feed.line].height
        if height > box.top:
            yield "top"
        elif height < box.bottom:
            yield "bottom"
        # The side on its stud has no room.
        yield "right" if box.side == "right" else "left"

    def beside(self, one: _FeedOption, other: _FeedOption) -> float:
        """What two ways cost beside each other."""
        if (one, other) not in self.pairs:
            self.work -= 1
            self.pairs[one, other] = self.pairs[other, one] = self._beside(one, other)
        return self.pairs[one, other]

    def _beside(self, one: _FeedOption, other: _FeedOption) -> float:
        if one.way is None or other.way is None:
            return 0.0
        cost = 0.0
        for place, leaving in one.boxes:
            for there, another in other.boxes:
                if there == place and leaving.edge == another.edge:
                    apart = abs(leaving.off - another.off)
                    if apart < 1e-6:
                        return _TAKEN
                    if apart < self.wall.apart - 1e-6:
                        cost += _BY_LEVEL["warning"]
        assert one.pipework is not None
        assert other.pipework is not None
        if one.pipework.meets(other.pipework, self.wall.diameter):
            cost += _BY_LEVEL["error"]
        if one.way.feed.line == other.way.feed.line and set(one.way.members) & set(
            other.way.members
        ):
            cost += _BY_LEVEL["error"]
        return cost

    def best(
        self, group: Sequence[Feed], taken: Mapping[int, _FeedOption]
    ) -> dict[int, _FeedOption]:
        """The best choice for feeds that hang together, the others as they are: by branch and bound
        within what work is left."""
        options = {feed.number: self.options_of(feed) for feed in group}
        others = [option for number, option in taken.items() if number not in options]
        order = sorted(group, key=lambda feed: (-options[feed.number][0].cost, feed.number))
        least_left = [0.0]
        for feed in reversed(order):
            least_left.insert(0, least_left[0] + options[feed.number][0].cost)
        now = [taken[feed.number] for feed in order]
        best_cost = self._whole(now, others)
        best = {option.feed.number: option for option in now}
        chosen: list[_FeedOption] = []

        def go_on(at: int, cost: float) -> None:
            nonlocal best_cost, best
            if at == len(order):
                best_cost = cost
                best = {option.feed.number: option for option in chosen}
                return
            for option in options[order[at].number]:
                if cost + option.cost + least_left[at + 1] >= best_cost - 1e-9:
                    break
                more = cost + option.cost
                for before in (*chosen, *others):
                    if self.work <= 0 and (option, before) not in self.pairs:
                        return
                    more += self.beside(option, before)
                    if more + least_left[at + 1] >= best_cost - 1e-9:
                        break
                else:
                    chosen.append(option)
                    go_on(at + 1, more)
                    chosen.pop()

        go_on(0, 0.0)
        return best

    def _whole(self, some: Sequence[_FeedOption], others: Sequence[_FeedOption]) -> float:
        cost = math.fsum(option.cost for option in some)
        cost += math.fsum(self.beside(one, other) for one, other in combinations(some, 2))
        return cost + math.fsum(self.beside(one, other) for one in some for other in others)

    def chosen(self, taken: Mapping[int, _FeedOption]) -> ChosenWays:
        """As the wall's ways."""
        options = [taken[feed.number] for feed in self.feeds]
        knockouts = {
            (place, option.feed.number): leaving
            for option in options
            for place, leaving in option.boxes
        }
        without = tuple(
            (option.feed, self._full_box(option.feed, knockouts))
            for option in options
            if option.way is None
        )
        routes = tuple(option.way for option in options if option.way is not None)
        return ChosenWays(knockouts, routes, without)

    def _full_box(self, feed: Feed, knockouts: KnockoutExits) -> WallBox:
        """Of a feed without a way, the box that has the fewest knockouts left."""
        boxes = [
            end.place
            for end in feed.ends
            if (box := self.wall.box_of(end)) is not None and box.kind
        ]

        def left(place: int) -> int:
            box = self.wall.boxes[place]
            taken = sum(number == place for number, _ in knockouts)
            return len(box.kind.knockouts if box.kind else ()) - taken

        return self.wall.boxes[min(boxes, key=left)]


_WRONG = _BY_LEVEL["warning"]
"""From so much on something is wrong."""


def _counted(findings: Sequence[Finding]) -> float:
    return math.fsum(_BY_LEVEL[finding.level] for finding in findings)
