"""Parting a run: as few joints as its sticks allow, as few cuts, as far from bends as can be."""

from __future__ import annotations

import math
from bisect import bisect_left
from collections.abc import Sequence

from yarrow.catalog.couplings import Coupling
from yarrow.pieces.places import JointRoom
from yarrow.values import dataclass

_HAIR = 1e-9

_CUT = 1.0
_CLOSE = 0.5
"""What a cut costs, and a joint right beside a bend: never so much as a joint."""


@dataclass(frozen=True, slots=True)
class Sticks:
    """What a run is parted with: how long it is, its sticks and the coupling. ``within``: what no
    tape tells, half its smallest mark. ``closing`` is the middle of the one joint that takes
    another coupling, and that; None where all are alike."""

    length: float
    stick: float
    coupling: Coupling
    within: float
    closing: tuple[float, Coupling] | None = None

    def coupling_at(self, middle: float) -> Coupling:
        """What joins the run there.

        Args:
            middle: of a joint, in the run's unit.
        """
        if self.closing and self.closing[0] == middle:
            return self.closing[1]
        return self.coupling

    def cut_between(self, begins: float, ends: float) -> tuple[float, float]:
        """Where a piece's own ends lie on the run before it is bent.

        Args:
            begins, ends: as for is_whole, lengths in the run's unit.

        Returns:
            From the run's start, in its unit.
        """
        return (
            begins + (self.coupling_at(begins).open / 2 if begins > 0 else 0.0),
            ends - (self.coupling_at(ends).open / 2 if ends < self.length else 0.0),
        )

    def is_whole(self, begins: float, ends: float) -> bool:
        """Whether a piece between two joints is a stick that is not cut.

        Args:
            begins, ends: the middles of the joints at its ends, or the run's own ends, in its unit.
        """
        return abs(self.piece(begins, ends) - self.stick) <= self.within

    def takes(self, begins: float, ends: float) -> bool:
        """Whether a stick is long enough for a piece.

        Args:
            begins, ends: as for is_whole, lengths in the run's unit.
        """
        return self.piece(begins, ends) <= self.stick + self.within

    def piece(self, begins: float, ends: float) -> float:
        """How long a piece is that lies between two joints.

        Args:
            begins, ends: as for is_whole, lengths in the run's unit.

        Returns:
            In the run's unit.
        """
        begins, ends = self.cut_between(begins, ends)
        return ends - begins

    def furthest(self, begins: float) -> float:
        """The middle of the next joint, where the piece before it is a whole stick.

        Args:
            begins: the middle of the joint before it, or 0, in the run's unit.

        Returns:
            In the run's unit.
        """
        half = self.coupling.open / 2
        return begins + (half if begins > 0 else 0.0) + self.stick + half


def fewest(
    sticks: Sticks, stretches: Sequence[JointRoom], pieces: int = 0
) -> tuple[float, ...] | None:
    """The middles of as few joints as can be, or of so many pieces; None where no joints do.

    Found from the start on, over the places that a best parting can have: where a whole stick ends,
    and the ends and the middle of each stretch.

    Args:
        sticks: the run and what it is parted with.
        stretches: where a joint may be, in order.
        pieces: how many there are to be; 0: as few as can be.

    Returns:
        From the run's start, in its unit, in order.
    """
    if not pieces and sticks.takes(0.0, sticks.length):
        return ()
    most = pieces or math.ceil(sticks.length / max(sticks.stick, _HAIR)) + len(stretches) + 1
    # Of every place that so many joints lead to, the cheapest way there.
    reached: dict[float, tuple[float, tuple[float, ...]]] = {0.0: (0.0, ())}
    onward: dict[float, list[tuple[float, float]]] = {}
    for number in range(1, most + 1):
        if not pieces or number == pieces:
            ended = _ended(sticks, reached)
            if ended is not None:
                return ended
        following: dict[float, tuple[float, tuple[float, ...]]] = {}
        for begins, (cost, way) in reached.items():
            if begins not in onward:
                onward[begins] = _onward(sticks, stretches, begins)
            for place, costs in onward[begins]:
                price = cost + costs
                if place not in following or price < following[place][0]:
                    following[place] = (price, (*way, place))
        reached = following
        if not reached:
            return None
    return None


def _ended(
    sticks: Sticks, reached: dict[float, tuple[float, tuple[float, ...]]]
) -> tuple[float, ...] | None:
    """The cheapest way whose last piece reaches the run's end."""
    best: tuple[float, tuple[float, ...]] | None = None
    for begins, (cost, way) in reached.items():
        if sticks.takes(begins, sticks.length):
            price = cost + (0.0 if sticks.is_whole(begins, sticks.length) else _CUT)
            if best is None or price < best[0]:
                best = (price, way)
    return best[1] if best else None


def _onward(
    sticks: Sticks, stretches: Sequence[JointRoom], begins: float
) -> list[tuple[float, float]]:
    """The places that the next joint can have, each with what it costs: a cut where the piece
    before it is no whole stick, and how near it is to an end of its stretch, in the coupling's
    lengths."""
    furthest = sticks.furthest(begins)
    nearest = begins + 2 * sticks.coupling.length
    result = []
    first = bisect_left(stretches, nearest, key=lambda stretch: stretch.ends)
    for stretch in stretches[first:]:
        if stretch.begins > furthest + _HAIR:
            break
        low, high = max(stretch.begins, nearest), min(stretch.ends, furthest)
        for place in {stretch.begins, high, stretch.middle}:
            if low - _HAIR <= place <= high + _HAIR:
                off = min(place - stretch.begins, stretch.ends - place)
                cut = 0.0 if abs(place - furthest) <= sticks.within else _CUT
                beside = max(off, 0.0) / sticks.coupling.length
                result.append((place, cut + _CLOSE / (1.0 + beside)))
    return result
