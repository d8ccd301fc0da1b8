"""Where to part a piece that can't be bent in one: at a coupling in one of its straights."""

from __future__ import annotations

from yarrow.bend_simulation.orders import best_order
from yarrow.bend_simulation.piece import Piece
from yarrow.benders.habits import worked_together
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.values import replace

_MOST_TRIED = 40
"""Bends that are simulated anew, over all straights that are tried."""


def splits(piece: Piece) -> tuple[int, float] | None:
    """The longest straight at whose middle the piece can be parted so that both parts can be bent:
    the bend before it and its length. None where no straight will do; of a piece with very many
    bends only the longest are tried.

    Args:
        piece: that can't be bent in one.

    Returns:
        The bend's number along the pipe, from 0, and a length in the piece's unit.
    """
    pipe = piece.pipe
    lasts = [group[-1] for group in worked_together(piece.roles, piece.lines)][:-1]
    longest = sorted(lasts, key=lambda bend: -pipe.straights[bend + 1])
    for last in longest[: max(_MOST_TRIED // len(pipe.bends), 1)]:
        straight = pipe.straights[last + 1]
        cut = pipe.bends[last].arc_end + straight / 2
        sides = (
            _part_of(piece, 0, last + 1, 0.0, cut),
            _part_of(piece, last + 1, len(pipe.bends), cut, pipe.cut_length),
        )
        if all(best_order(side).works for side in sides):
            return last, straight
    return None


def _part_of(piece: Piece, first: int, after: int, begins: float, ends: float) -> Piece:
    """A stretch of a piece with the bends that are in it, each where it may be worked."""
    by_bend = tuple(
        (bend - first, stance) for bend, stance in piece.stances.by_bend if first <= bend < after
    )
    return replace(
        piece,
        pipe=_stretch_of(piece.pipe, first, after, begins, ends),
        roles=piece.roles[first:after],
        lines=piece.lines[first:after],
        stances=replace(piece.stances, by_bend=by_bend),
    )


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
