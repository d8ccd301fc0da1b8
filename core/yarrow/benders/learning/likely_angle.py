"""What a bend most likely is, between what was read of it and what its bender makes."""

from __future__ import annotations

from yarrow.measure import ieee

ANGLE_READING = 0.5
"""Standard deviation of an angle that is read between two legs, degrees: a level that shows half
degrees. A working figure."""

STOPPED = 0.5
"""Standard deviation of where a person stops on a scale, degrees. A working figure."""

_SLIP = 3.0
"""Standard deviations from which a reading is no scatter: the bend is what was read."""

_OF_HALF = 2.0
"""A half-width that holds 19 of 20, in standard deviations."""


def likely_angle(read: float, expected: float, known_to: float) -> float:
    """Between what was read and what the bender makes, each by how well it is known: a level shows
    half degrees, and a bender that was measured often may well be the better gauge.

    Args:
        read: the angle that was read, degrees.
        expected: what the bender makes where it is stopped so, degrees.
        known_to: within what of the truth that is in 19 of 20 cases, but for where it was stopped.

    Returns:
        Degrees.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    of_bender = ieee.square(known_to / _OF_HALF) + ieee.square(STOPPED)
    whole = of_bender + ieee.square(ANGLE_READING)
    off = read - expected
    if off * off > ieee.square(_SLIP) * whole:
        return read
    return expected + off * of_bender / whole
