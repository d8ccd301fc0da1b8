"""Pieces that are slid into bored holes: how long one can be from which bay, by its tilt in the
hole, and in which order they go in."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from yarrow.walls.studs import BoredThrough
from yarrow.walls.wall import FramedWall, HoleLine


@lru_cache(maxsize=100)
def most_tilt(diameter: float, bit: float, thick: float) -> float:
    """How far a pipe can be tilted in a bored hole, radians: until it lies against both of its
    edges, (bit − D / cos φ) = thick × tan φ.

    Args:
        diameter: of the pipe, in the wall's unit.
        bit: that the hole is bored with.
        thick: what it is bored through.
    Source:
        docs/geometry.md, framed walls.
    """
    low, high = 0.0, math.pi / 4
    if bit <= diameter:
        return 0.0
    for _ in range(40):
        tilt = (low + high) / 2
        if bit - diameter / math.cos(tilt) >= thick * math.tan(tilt):
            low = tilt
        else:
            high = tilt
    return low


def longest_slid(
    diameter: float, line: HoleLine, clear: float, thick: float, beyond: float
) -> float:
    """The longest straight piece that goes from a bay into the hole beside it.

    It lies in the bay as a whole; or its tail is held out in front of the studs, tilted in its
    first hole, until no more is left than goes into the bay: by then its tip must not have come to
    the second hole, which a tilted pipe does not find.

    Args:
        diameter: of the pipe, in the wall's unit.
        line: of holes.
        clear: of the bay, from face to face.
        thick: what the hole goes through.
        beyond: how wide the next bay is.
    Source:
        docs/geometry.md, framed walls.
    """
    out = line.setback + diameter / 2
    if clear * math.sin(most_tilt(diameter, line.bit, thick)) < out:
        return clear
    return clear + thick + beyond


@dataclass(frozen=True, slots=True)
class BoredStretch:
    """A straight stretch of a feed along its holes, from ``begins`` to ``ends`` along the wall: the
    ``members`` that it goes through and the ``bays`` between them, in its own order. ``entry`` is
    the bay that its straight pieces are slid in from, by its number from 0: to both sides, those
    furthest off first. ``ahead`` and ``back`` are the longest that go in from there either way,
    ``first`` and ``last`` those that a bent piece can be at its two ends."""

    begins: float
    ends: float
    members: tuple[BoredThrough, ...]
    bays: tuple[tuple[float, float], ...]
    entry: int
    ahead: float
    back: float
    first: float
    last: float

    @property
    def longest(self) -> float:
        """The longest straight piece that can be anywhere in it."""
        if self.entry == 0:
            return self.ahead
        return self.back if self.entry == len(self.members) else min(self.ahead, self.back)

    def slid_ahead(self, middle: float) -> bool:
        """Whether a piece goes in the way that the feed goes, from the bay of entry.

        Args:
            middle: of the piece, along the wall.
        """
        low, high = self.bays[self.entry]
        return (middle - (low + high) / 2) * (self.ends - self.begins) >= 0


def stretch(wall: FramedWall, line: HoleLine, begins: float, ends: float) -> BoredStretch:
    """A stretch of a feed and how its pieces are slid in.

    Args:
        wall: with its studs.
        line: of holes.
        begins, ends: along the wall, in the feed's order.
    """
    members = wall.studs.between(begins, ends, line.height)
    bays = _bays(wall, line, members, begins, ends)
    if ends < begins:
        members, bays = members[::-1], bays[::-1]
    clear = [high - low for low, high in bays]

    def slid(bay: int, step: int) -> float:
        through = members[bay if step > 0 else bay - 1].thick
        return longest_slid(wall.diameter, line, clear[bay], through, clear[bay + step])

    last = len(members)
    if not last:
        return BoredStretch(begins, ends, (), bays, 0, *(4 * (clear[0],)))
    ahead = [slid(bay, 1) if bay < last else 0.0 for bay in range(last + 1)]
    back = [slid(bay, -1) if bay > 0 else 0.0 for bay in range(last + 1)]
    most = [ahead[0], *(min(ahead[n], back[n]) for n in range(1, last)), back[last]]
    entry = max(range(last + 1), key=lambda bay: most[bay])
    return BoredStretch(
        begins, ends, members, bays, entry, ahead[entry], back[entry], ahead[0], back[last]
    )


def _bays(
    wall: FramedWall, line: HoleLine, members: Sequence[BoredThrough], begins: float, ends: float
) -> tuple[tuple[float, float], ...]:
    """The bays of a stretch, from the left: its first and last as far as they are clear."""
    low, high = min(begins, ends), max(begins, ends)
    left, right = wall.studs.bay(low, line.height)[0], wall.studs.bay(high, line.height)[1]
    faces = [max(left, 0.0), *(face for m in members for face in (m.begins, m.ends))]
    faces.append(min(right, wall.length))
    return tuple(zip(faces[::2], faces[1::2], strict=True))
