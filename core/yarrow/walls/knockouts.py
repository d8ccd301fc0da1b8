"""Which knockout each pipe leaves its box by, and where that is."""

from __future__ import annotations

import math
from collections.abc import Iterator, Mapping, Sequence
from itertools import combinations, pairwise

from yarrow.geometry.vectors import Vector
from yarrow.values import dataclass
from yarrow.walls.wall import Edge, Feed, FeedEnd, FramedWall, WallBox

_HAIR = 1e-6

_AWAY: dict[Edge, Vector] = {
    "top": (0.0, 0.0, 1.0),
    "bottom": (0.0, 0.0, -1.0),
    "left": (-1.0, 0.0, 0.0),
    "right": (1.0, 0.0, 0.0),
}


@dataclass(frozen=True, slots=True)
class KnockoutExit:
    """A knockout that a feed leaves its box by: the box's edge, what it is called, how far it is
    from the middle of that edge (to the right, or upward), where it is, the way out of it."""

    feed: int
    edge: Edge
    name: str
    off: float
    at: Vector

    @property
    def way(self) -> Vector:
        """A unit vector away from the box."""
        return _AWAY[self.edge]


@dataclass(frozen=True, slots=True)
class _Wanted:
    """A feed at a box: its edge, how far off the middle its knockout is (None: whichever), and its
    place among the others, so that pipes do not cross: those that go off to the left first, of them
    the one that turns off nearest to the box, and last the same of those to the right."""

    feed: int
    edge: Edge
    name: str
    off: float | None
    order: float


KnockoutExits = Mapping[tuple[int, int], KnockoutExit]
"""By the number of the box and that of the feed."""


def leavings(wall: FramedWall) -> KnockoutExits:
    """The knockouts that every feed leaves its boxes by: those that were named, then as near the
    middle of an edge as lock rings allow, in the order that the pipes go off in.

    Args:
        wall: with its feeds.
    """
    wanted: dict[tuple[int, Edge], list[_Wanted]] = {}
    for feed in wall.feeds:
        for end, other in (feed.ends, feed.ends[::-1]):
            if wall.box_of(end) and feed.start.place != feed.end.place:
                own = _wanted(wall, feed, end, other)
                wanted.setdefault((end.place, own.edge), []).append(own)
    return {
        (number, leaving.feed): leaving
        for (number, edge), here in wanted.items()
        for leaving in _on_edge(wall, wall.boxes[number], edge, here)
    }


def _on_edge(
    wall: FramedWall, box: WallBox, edge: Edge, wanted: Sequence[_Wanted]
) -> Iterator[KnockoutExit]:
    free = sorted((one for one in wanted if one.off is None), key=lambda wanted: wanted.order)
    taken = {one.off for one in wanted if one.off is not None}
    places = _spread(wall, box, edge, len(free), taken)
    for placed, (name, off) in zip(free, places, strict=True):
        yield KnockoutExit(placed.feed, edge, name, off, _at(box, edge, off))
    for one in wanted:
        if one.off is not None:
            yield KnockoutExit(one.feed, edge, one.name, one.off, _at(box, edge, one.off))


def leavings_of_edge(box: WallBox, edge: Edge, feed: int) -> Iterator[KnockoutExit]:
    """The knockouts in an edge of a box of a kind, for a feed.

    Args:
        box: of a wall.
        edge: of it.
        feed: its number.
    """
    for name, off in _of_edge(box, edge):
        yield KnockoutExit(feed, edge, f"{edge} {name}", off, _at(box, edge, off))


def too_close(
    wall: FramedWall, box: WallBox, knockout_exits: Sequence[KnockoutExit]
) -> float | None:
    """How much room each pipe has on an edge of a box where their lock rings meet; None where they
    do not.

    Args:
        wall: with its feeds.
        box: of it.
        knockout_exits: the knockouts that pipes leave this box by.

    Returns:
        In the wall's unit.
    """
    gaps: list[float] = []
    for edge in _AWAY:
        here = [leaving for leaving in knockout_exits if leaving.edge == edge]
        offs = sorted(leaving.off for leaving in here)
        gaps += [after - before for before, after in pairwise(offs)]
        reach = (box.width if edge in ("top", "bottom") else box.tall) / 2
        if any(not leaving.name for leaving in here) and len(offs) > 1:
            gaps.append(2 * reach / len(offs))
    least = min(gaps, default=wall.apart)
    return least if least < wall.apart - _HAIR else None


def edge_of(knockout: str) -> Edge | None:
    """The edge of a box that a knockout is in, by its name; None where that names none.

    Args:
        knockout: ``top left``.
    """
    return next((edge for edge in _AWAY if knockout.startswith(f"{edge} ")), None)


def _wanted(wall: FramedWall, feed: Feed, end: FeedEnd, other: FeedEnd) -> _Wanted:
    box = wall.boxes[end.place]
    beyond, out = wall.box_of(other), wall.way_out_of(other)
    toward = beyond.middle if beyond else box.middle
    if out:
        toward = box.middle if out.along is None else out.along
    height = wall.lines[feed.line].height
    order = 0.0
    if not wall.goes_straight(feed):
        near = 1.0 / (1.0 + abs(height - (box.top + box.bottom) / 2))
        order = near if toward > box.middle else -near
    edge = edge_of(end.knockout)
    if edge:
        named = dict(_of_edge(box, edge))
        off = named[end.knockout.removeprefix(f"{edge} ")]
        return _Wanted(feed.number, edge, end.knockout, off, order)
    up = out.plate == "top" if out and wall.goes_straight(feed) else height > box.top
    return _Wanted(feed.number, "top" if up else "bottom", "", None, order)


def _of_edge(box: WallBox, edge: Edge) -> tuple[tuple[str, float], ...]:
    if box.kind is None:
        return ()
    return box.kind.across if edge in ("top", "bottom") else box.kind.up


def _spread(
    wall: FramedWall, box: WallBox, edge: Edge, pipes: int, taken: set[float]
) -> list[tuple[str, float]]:
    """Knockouts for so many pipes, from the left."""
    row = sorted(_of_edge(box, edge), key=lambda placed: placed[1])
    free = [(f"{edge} {name}", off) for name, off in row if off not in taken]
    best: tuple[float, list[tuple[str, float]]] | None = None
    for chosen in combinations(free, pipes):
        offs = sorted([*taken, *(off for _, off in chosen)])
        meet = sum(b - a < wall.apart - _HAIR for a, b in pairwise(offs))
        cost = 1000.0 * meet + math.fsum(abs(off) for _, off in chosen)
        if best is None or cost < best[0]:
            best = (cost, list(chosen))
    if best:
        return best[1]
    return [("", (at - (pipes - 1) / 2) * wall.apart) for at in range(pipes)]


def _at(box: WallBox, edge: Edge, off: float) -> Vector:
    deep, middle = -box.knockout_depth, (box.bottom + box.top) / 2
    places: dict[Edge, Vector] = {
        "top": (box.middle + off, deep, box.top),
        "bottom": (box.middle + off, deep, box.bottom),
        "left": (box.begins, deep, middle + off),
        "right": (box.ends, deep, middle + off),
    }
    return places[edge]
