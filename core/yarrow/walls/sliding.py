"""Pieces that are slid into bored holes: how long one can be from which bay, and in which order
they go in."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.catalog.reading import toml
from yarrow.measure.units import Unit, convert_length
from yarrow.values import dataclass
from yarrow.walls.studs import BoredThrough
from yarrow.walls.wall import FramedWall, HoleLine

_HAIR = 1e-6


def studs_slid_through(diameter: float, line: HoleLine, unit: Unit) -> int:
    """How many studs a straight piece is slid through from a bay: pipe flexes, and holes are no
    gauges; in one that fits closely it is a single one.

    Args:
        diameter: of the pipe, in the wall's unit.
        line: of holes.
        unit: the wall's.

    Source:
        The habit of crews, catalog/framing.toml.
    """
    rules = toml("framing")
    play = convert_length(rules["slid_play_mm"], "mm", unit)
    return int(rules["slid_studs"]) if line.bit - diameter >= play - _HAIR else 1


def longest_slid(clear: Sequence[float], thick: Sequence[float], studs: int) -> float:
    """The longest straight piece that goes from a bay into the holes beside it: from the middle of
    a bay to that of the next but so many studs on.

    Args:
        clear: of the bays from that one on, from face to face, in the wall's unit.
        thick: what the holes go through.
        studs: that a piece is slid through, at most.

    Returns:
        In the wall's unit.
    """
    through = min(studs, len(thick))
    middle = (clear[0] + clear[through]) / 2
    return middle + math.fsum(clear[1:through]) + math.fsum(thick[:through])


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

    studs = studs_slid_through(wall.diameter, line, wall.unit)
    thick = [member.thick for member in members]

    def slid(bay: int, step: int) -> float:
        if step > 0:
            far = bay + studs
            return longest_slid(clear[bay : far + 1], thick[bay:far], studs)
        far = max(bay - studs, 0)
        return longest_slid(clear[far : bay + 1][::-1], thick[far:bay][::-1], studs)

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
