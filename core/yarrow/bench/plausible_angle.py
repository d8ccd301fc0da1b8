"""What a made bend is taken to be, where an angle was read that its bender seldom makes."""

from __future__ import annotations

from yarrow.benders.bender import Bender
from yarrow.benders.learning.likely_angle import likely_angle


def plausible_angle(bender: Bender, aimed: float, read: float) -> float:
    """The angle that a bend most likely has, degrees; of a bender that nobody measured, what was
    read.

    Args:
        bender: that it was bent with.
        aimed: the angle that was to stay, degrees.
        read: the angle that was read, degrees.

    Returns:
        Degrees.

    Source:
        docs/pieces-and-walls.md, at the bench.
    """
    known = bender.known_to.springback if bender.known_to else None
    return read if known is None else likely_angle(read, aimed, known)
