"""What is cut and what it is cut from, in whole small parts of a unit: sums come out even."""

from __future__ import annotations

from bisect import bisect_left, bisect_right, insort
from collections.abc import Sequence
from itertools import accumulate

from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class PieceToCut:
    """A piece by its place in the list that was asked for, and its length."""

    number: int
    length: int


@dataclass(frozen=True, slots=True)
class StockBar:
    """What can be cut: how much of it can be used; ``offcut`` is its place among the offcuts in
    hand, None for a whole stick."""

    length: int
    offcut: int | None = None


@dataclass(frozen=True, slots=True)
class CutBar:
    """A bar with the pieces that are cut from it, in order."""

    bar: StockBar
    pieces: tuple[PieceToCut, ...]

    def left(self, kerf: int) -> int:
        """What is left of it; below zero where it is too short.

        Args:
            kerf: what a cut takes.

        Returns:
            In parts of the unit, as lengths here are.
        """
        return left_of(self.bar.length, [piece.length for piece in self.pieces], kerf)


def left_of(length: int, cut: Sequence[int], kerf: int) -> int:
    """What is left of a bar. The last cut takes no more than there is: a piece that ends where the
    bar ends is not cut off.

    Args:
        length: of the bar.
        cut: lengths of the pieces.
        kerf: what a cut takes.

    Returns:
        In the unit of the lengths.
    """
    used = sum(cut) + kerf * len(cut)
    return length - used if length >= used else min(length - used + kerf, 0)


@dataclass(frozen=True, slots=True)
class PutTogether:
    """Pieces of which some are one, as somebody wants them from one bar: ``groups`` by the number
    that each goes by; ``refused`` are those that no bar is long enough for."""

    pieces: tuple[PieceToCut, ...]
    groups: dict[int, tuple[PieceToCut, ...]]
    refused: tuple[tuple[int, ...], ...]

    def apart(self, cut: CutBar) -> CutBar:
        """A bar with its pieces as they are cut.

        Args:
            cut: the bar, with groups on it as one.
        """
        single = ((piece,) for piece in cut.pieces)
        parts = (self.groups.get(piece.number, (piece,)) for (piece,) in single)
        return CutBar(cut.bar, tuple(piece for part in parts for piece in part))


def put_together(
    pieces: Sequence[PieceToCut], groups: Sequence[Sequence[int]], longest: int, kerf: int
) -> PutTogether:
    """Each group as one piece, as long as its pieces and the cuts between them.

    Args:
        pieces: in any order.
        groups: of their numbers.
        longest: of the bars there are.
        kerf: what a cut takes.
    """
    by_number = {piece.number: piece for piece in pieces}
    joined: dict[int, tuple[PieceToCut, ...]] = {}
    refused = []
    for numbers in groups:
        group = tuple(by_number[number] for number in numbers if number in by_number)
        if len(group) < 2:
            continue
        if left_of(longest, [piece.length for piece in group], kerf) < 0:
            refused.append(tuple(numbers))
            continue
        joined[group[0].number] = group
    inside = {piece.number for group in joined.values() for piece in group}
    single = [piece for piece in pieces if piece.number not in inside]
    as_one = [
        PieceToCut(number, sum(piece.length for piece in group) + kerf * (len(group) - 1))
        for number, group in joined.items()
    ]
    return PutTogether((*single, *as_one), joined, tuple(refused))


def sticks_in(bars: Sequence[CutBar]) -> int:
    """How many whole sticks are cut.

    Returns:
        So many, offcuts not counted.
    """
    return sum(1 for bar in bars if bar.bar.offcut is None)


def first_fit(
    pieces: Sequence[PieceToCut], offcuts: Sequence[StockBar], stick: int, kerf: int
) -> list[CutBar]:
    """Longest first, each where the least is left; an offcut before a new stick.

    Args:
        pieces: one that nothing is long enough for lies on a stick all the same.
        offcuts: in hand.
        stick: how much of a whole stick can be used.
        kerf: what a cut takes.
    """
    open_bars: list[tuple[StockBar, list[PieceToCut]]] = []
    free: list[tuple[int, int]] = []  # of every open bar, with its place, the least first
    in_hand = sorted(offcuts, key=lambda bar: bar.length)
    for piece in sorted(pieces, key=lambda piece: -piece.length):
        first = bisect_left(free, (piece.length, 0))
        if first < len(free):
            left, number = free.pop(first)
            open_bars[number][1].append(piece)
        else:
            at = bisect_left(in_hand, piece.length, key=lambda bar: bar.length)
            bar = in_hand.pop(at) if at < len(in_hand) else StockBar(stick)
            left, number = bar.length, len(open_bars)
            open_bars.append((bar, [piece]))
        insort(free, (left - piece.length - kerf, number))
    return [CutBar(bar, tuple(on)) for bar, on in open_bars]


def without_offcut(
    pieces: Sequence[PieceToCut], offcuts: Sequence[StockBar], stick: int, kerf: int
) -> list[PieceToCut]:
    """Pieces that come out of no stick, and that no offcut is left for once those that are longer
    have theirs.

    Args:
        pieces: of any length.
        offcuts, stick, kerf: as for first_fit.
    """
    long = [piece for piece in pieces if piece.length > stick]
    bars = first_fit(long, offcuts, stick, kerf)
    return [piece for bar in bars if bar.left(kerf) < 0 for piece in bar.pieces]


def fewest_sticks(
    pieces: Sequence[PieceToCut], offcuts: Sequence[StockBar], stick: int, kerf: int
) -> int:
    """How many sticks it takes at the least: by what the pieces need in all, less what the offcuts
    have; and by pieces that no stick takes two of, with what those that could go beside them need.

    Args:
        pieces, offcuts, stick, kerf: as for first_fit.

    Source:
        Martello and Toth's bound L2 for bin packing.
    """
    room = stick + kerf
    sizes = sorted(piece.length + kerf for piece in pieces)
    upto = [0, *accumulate(sizes)]
    in_hand = sum(bar.length + kerf for bar in offcuts)
    by_length = -(-max(upto[-1] - in_hand, 0) // room)
    best = 0
    half = bisect_right(sizes, room // 2)  # from here on no stick takes two
    for least in {0, *sizes[:half]}:
        alone = max(bisect_right(sizes, room - least), half)
        small = upto[half] - upto[bisect_left(sizes, least, hi=half)]
        beside = (alone - half) * room - (upto[alone] - upto[half])
        best = max(best, len(sizes) - half + max(0, -(-(small - beside) // room)))
    return max(by_length, best - len(offcuts), 0)


def in_order(bars: Sequence[CutBar]) -> list[CutBar]:
    """Whole sticks first, those with most on them first; pieces longest first."""
    sorted_bars = [
        CutBar(bar.bar, tuple(sorted(bar.pieces, key=lambda piece: -piece.length))) for bar in bars
    ]
    return sorted(
        sorted_bars,
        key=lambda bar: (
            bar.bar.offcut is not None,
            -sum(piece.length for piece in bar.pieces),
        ),
    )
