"""The orders that a piece can be bent in; the first is the one a good hand takes (docs/geometry.md,
orders)."""

from __future__ import annotations

from collections.abc import Iterator
from functools import lru_cache

from yarrow.bend_simulation.order import Order
from yarrow.bend_simulation.piece import Piece
from yarrow.bend_simulation.search import Search
from yarrow.benders.bender import Hook
from yarrow.values import replace

Hooked = tuple[tuple[int, Hook], ...]
"""Bends by their numbers along the pipe from 0, each with the end that the hook faces."""

# A key changes one thing of a run. Where it is not its pipe, nor what that is bent with, the order
# is the one that was found for it.


@lru_cache(maxsize=64)
def best_order(piece: Piece, hooks: Hooked = ()) -> Order:
    """The order that a good hand takes: of those that work the one with the fewest flips, and so on
    (Cost). The least trouble, where none works.

    Args:
        piece: with at least one bend.
        hooks: of bends whose marks leave no choice; any, where it is not said.
    """
    search = Search(piece, dict(hooks))
    order = search.best_from_one_end()
    if search.may_be_bettered(order):
        order = min((order, *_other_ways(search, order)), key=lambda order: order.cost)
    return order


def _other_ways(search: Search, order: Order) -> Iterator[Order]:
    """Orders that are bound to neither end."""
    yield from search.from_anywhere(order.cost)
    yield from search.bend_by_bend(order.cost)
    one_side = search.with_saddles_from_one_side()
    if one_side is not None and one_side.cost < order.cost:
        yield replace(one_side, name="from both ends")


def orders(piece: Piece) -> tuple[Order, ...]:
    """The best orders from either end, and the best of all where that is neither; best first.

    Args:
        piece: what is bent; nothing where it has no bends.
    """
    if not piece.pipe.bends:
        return ()
    search = Search(piece, {})
    result = [search.best(name) for name in search.ends()]
    best = min(result, key=lambda order: order.cost)
    if search.may_be_bettered(best):
        result += _other_ways(search, best)
    return tuple(sorted(result, key=lambda order: order.cost))


@lru_cache(maxsize=64)
def as_given(piece: Piece, sequence: Hooked) -> Order:
    """An order that is not searched for but given, with what it meets and costs.

    Args:
        piece: what is bent.
        sequence: its bends in the order they are made.
    """
    return Search(piece, dict(sequence)).as_given([bend for bend, _ in sequence])


@lru_cache(maxsize=64)
def unsearched(piece: Piece, sequence: Hooked = ()) -> Order:
    """An order of which nothing is simulated: one that is given, or the best by habit along the
    pipe.

    Args:
        piece: with at least one bend.
        sequence: as for as_given; none where it goes by habit.
    """
    search = Search(piece, dict(sequence))
    if sequence:
        search.groups = tuple((bend,) for bend, _ in sequence)
    return search.order_of("from the start", search.believed("from the start"))
