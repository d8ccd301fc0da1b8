"""In which order the pieces of a feed go in, and from where."""

from __future__ import annotations

from itertools import pairwise

from yarrow.values import dataclass
from yarrow.walls.route_checks import name_of_member
from yarrow.walls.routes import Route
from yarrow.walls.sliding import BoredStretch
from yarrow.wording.phrase import Phrase, Value


@dataclass(frozen=True, slots=True)
class GoesIn:
    """A piece's turn, counted from 1, and how it goes in."""

    turn: int
    how: Phrase


def insertion_order(way: Route, pieces: int) -> tuple[GoesIn, ...]:
    """How each piece of a feed goes in, in the order of the pieces: straight ones first, on each
    side of the bay that they are slid from those furthest off, then the bent ones.

    Args:
        way: of the feed.
        pieces: that it is made in: where its way has no joints, Yarrow may have to part it all the
            same.
    """
    bored = any(stretch.members for stretch in way.stretches)
    if not bored or pieces != len(way.joints) + 1:
        return tuple(GoesIn(at + 1, Phrase("wall/plain-in")) for at in range(pieces))
    straight: list[tuple[int, float, int, Phrase]] = []
    bent = []
    ends = (None, *way.joints, None)
    for piece, (before, after) in enumerate(pairwise(ends)):
        if before is None or after is None or before.leg != after.leg:
            bent.append(piece)
            continue
        number = before.leg - way.first_leg
        bored_stretch = way.stretches[number]
        middle = (before.along + after.along) / 2
        off = abs(middle - sum(bored_stretch.bays[bored_stretch.entry]) / 2)
        straight.append((number, -off, piece, _slid(bored_stretch, middle)))
    hows = [(piece, how) for *_, piece, how in sorted(straight, key=lambda result: result[:3])]
    last = Phrase("wall/bent-in" if straight else "wall/bent-alone")
    hows += [(piece, last) for piece in bent]
    turns = {piece: GoesIn(turn, how) for turn, (piece, how) in enumerate(hows, 1)}
    return tuple(turns[piece] for piece in range(len(way.joints) + 1))


def _slid(bored: BoredStretch, middle: float) -> Phrase:
    ahead = bored.slid_ahead(middle)
    right = ahead == (bored.ends > bored.begins)
    beside = [bored.members[bored.entry - 1]] if bored.entry else []
    beside += bored.members[bored.entry : bored.entry + 1]
    beside.sort(key=lambda member: member.begins)
    values: dict[str, Value] = {
        "bay": tuple(name_of_member(member) for member in beside),
        "way": Phrase("wall/right" if right else "wall/left"),
    }
    return Phrase("wall/slid-in" if len(beside) > 1 else "wall/slid-in-beside", values)
