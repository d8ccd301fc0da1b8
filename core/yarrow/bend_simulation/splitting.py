"""Where to part a piece that can't be bent in one: at a coupling in one of its straights."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from yarrow.bend_simulation.orders import orders
from yarrow.benders.bender import Bender
from yarrow.catalog.tables import Stance
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.measure.units import Unit
from yarrow.role import Role, groups

_MOST_TRIED = 40
"""Bends that are simulated anew, over all straights that are tried."""


def splits(
    bender: Bender, pipe: StraightPipe, roles: Sequence[Role], stance: Stance, unit: Unit
) -> tuple[int, float] | None:
    """The longest straight at whose middle the piece can be parted so that both parts can be bent
    from one of their ends: the bend before it and its length. None where no straight will do; of a
    piece with very many bends only the longest are tried."""
    lasts = [group[-1] for group in groups(roles)][:-1]
    longest = sorted(lasts, key=lambda bend: -pipe.straights[bend + 1])
    for last in longest[: max(_MOST_TRIED // len(pipe.bends), 1)]:
        straight = pipe.straights[last + 1]
        cut = pipe.bends[last].arc_end + straight / 2
        sides = (
            (_stretch_of(pipe, 0, last + 1, 0.0, cut), roles[: last + 1]),
            (_stretch_of(pipe, last + 1, len(pipe.bends), cut, pipe.cut_length), roles[last + 1 :]),
        )
        found = (orders(bender, part, kept, stance, unit, both_ends=False) for part, kept in sides)
        if all(each[0].works for each in found):
            return last, straight
    return None


def _stretch_of(
    pipe: StraightPipe, first: int, after: int, begins: float, ends: float
) -> StraightPipe:
    """A stretch of a straight pipe with the bends that are in it."""
    bends = [replace(bend, arc_start=bend.arc_start - begins) for bend in pipe.bends[first:after]]
    bends[0] = replace(bends[0], roll=0.0)
    edges = [0.0, *(place for bend in bends for place in _ends(bend)), ends - begins]
    straights = tuple(edges[n + 1] - edges[n] for n in range(0, len(edges), 2))
    return StraightPipe(
        ends - begins,
        straights,
        tuple(bends),
        pipe.corners[first:after],
        pipe.ahead,
        pipe.first_toward,
    )


def _ends(bend: PipeBend) -> tuple[float, float]:
    return bend.arc_start, bend.arc_end
