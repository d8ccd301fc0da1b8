"""How long a piece can be that is slid into bored holes from a bay: by its tilt in the hole."""

from __future__ import annotations

import math
from itertools import pairwise

from yarrow.walls.wall import FramedWall, HoleLine, Studs


def most_tilt(diameter: float, line: HoleLine, studs: Studs) -> float:
    """How far a pipe can be tilted in a bored hole, radians: until it lies against both of its
    edges, (bit − D / cos φ) = width × tan φ.

    Args:
        diameter: of the pipe, in the wall's unit.
        line: that the hole is of.
        studs: that it is bored in.
    Source:
        docs/geometry.md, framed walls.
    """
    low, high = 0.0, math.pi / 4
    if line.bit <= diameter:
        return 0.0
    for _ in range(40):
        tilt = (low + high) / 2
        if line.bit - diameter / math.cos(tilt) >= studs.width * math.tan(tilt):
            low = tilt
        else:
            high = tilt
    return low


def longest_slid(diameter: float, line: HoleLine, studs: Studs, clear: float) -> float:
    """The longest straight piece that goes into the holes of a line from a bay.

    It lies in the bay as a whole; or its tail is held out in front of the studs, tilted in its
    first hole, until no more is left than goes into the bay: by then its tip must not have come to
    the second hole, which a tilted pipe does not find.

    Args:
        diameter: of the pipe, in the wall's unit.
        line: of holes.
        studs: that they are bored in.
        clear: of the bay, from face to face.
    Source:
        docs/geometry.md, framed walls.
    """
    out = line.setback + diameter / 2
    if clear * math.sin(most_tilt(diameter, line, studs)) < out:
        return clear
    return clear + studs.width + clear


def slid_on(wall: FramedWall, line: HoleLine) -> float:
    """The longest straight piece that goes into a line's holes from any bay of a wall.

    Args:
        wall: with its studs.
        line: of holes in it.
    """
    return longest_slid(wall.diameter, line, wall.studs, narrowest_bay(wall))


def narrowest_bay(wall: FramedWall) -> float:
    """The least clear room between two studs that stand side by side; the wall's own length where
    there are not two.

    Args:
        wall: with its studs.
    """
    apart = (b - a for a, b in pairwise(wall.studs.middles))
    return min(apart, default=wall.length) - wall.studs.width
