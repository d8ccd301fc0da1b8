"""Calibration: what a bender does, from test 90s measured with the tape of the work."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction
from statistics import stdev

from yarrow.benders.catalogued import radius_from_gain
from yarrow.geometry.arcs import gain
from yarrow.geometry.errors import GeometryError

RADIUS_PER_GAIN = 1 / (2 - math.pi / 2)
"""2.33: an error in the gain, as an error in the radius."""

SHOWN_ANGLES = (30.0, 45.0, 90.0)

READING = 1 / math.sqrt(3)
"""Standard deviation of one reading, in marks of the tape: it is off by up to a whole mark, as
likely by little as by much."""

_TAKE_UP_READINGS, _GAIN_READINGS = 2, 3
"""Take-up is stub less mark; gain is stub and tail less stick: each reading has its own error."""

_NORMAL = 2.0
_STUDENT = (12.71, 4.30, 3.18, 2.78, 2.57, 2.45, 2.36, 2.31, 2.26, 2.23)
"""What a mean is within in 19 of 20 cases: in standard errors that are known, and in those found
from 1, 2, 3 … differences (Student's t, two-sided 5 %)."""


@dataclass(frozen=True, slots=True)
class TestBend:
    """A 90 that was bent to find a bender's numbers, in one unit: the front mark's place from the
    end that the hook faced, the straight stick, and both legs of it afterwards, back to end."""

    mark: Fraction
    stick: Fraction
    stub: Fraction
    tail: Fraction


@dataclass(frozen=True, slots=True)
class Effect:
    """What the doubt in the radius moves: the length that one bend of ``angle`` saves, ± ``by``."""

    angle: float
    by: float


@dataclass(frozen=True, slots=True)
class Calibration:
    """What test bends say: the means, and within what of the truth they are in 19 of 20 cases."""

    tests: int
    take_up: float
    gain: float
    radius: float
    arc_behind_front: float
    take_up_known_to: float
    radius_known_to: float
    effects: tuple[Effect, ...]


def calibrate(tests: Sequence[TestBend], diameter: float, mark: float) -> Calibration:
    """K = S − M, G = S + B − L0, R = (G − D) / (2 − π/2), each the mean over the tests.

    Args: at least one test; diameter of the conduit and the tape's smallest mark, in its unit.
    Raises: GeometryError("stub-under-mark" | "gain-too-small", number of the test) where no bender
    could have made it: a stub that ends before the mark, or legs that save nothing.
    Source: docs/geometry.md, a test 90 calibrates it.
    """
    take_ups = [float(test.stub - test.mark) for test in tests]
    gains = [float(test.stub + test.tail - test.stick) for test in tests]
    for number, (take_up, saved) in enumerate(zip(take_ups, gains, strict=True)):
        if take_up <= 0:
            raise GeometryError("stub-under-mark", number)
        if saved <= diameter:
            raise GeometryError("gain-too-small", number)
    take_up, saved = sum(take_ups) / len(tests), sum(gains) / len(tests)
    radius = radius_from_gain(saved, diameter)
    known_to = RADIUS_PER_GAIN * _known_to(gains, _GAIN_READINGS, mark)
    return Calibration(
        tests=len(tests),
        take_up=take_up,
        gain=saved,
        radius=radius,
        arc_behind_front=take_up - radius - diameter / 2,
        take_up_known_to=_known_to(take_ups, _TAKE_UP_READINGS, mark),
        radius_known_to=known_to,
        effects=tuple(Effect(angle, gain(known_to, angle)) for angle in SHOWN_ANGLES),
    )


def _known_to(values: Sequence[float], readings: int, mark: float) -> float:
    """Half of the 95 % interval of a mean: by what the tape's readings make it, unless the values
    differ by more than readings can explain; then by their own spread.

    Args: readings, of the tape, that each value is the sum of; mark, the tape's smallest.
    Source: docs/geometry.md, test 90s.
    """
    count, expected = len(values), math.sqrt(readings) * READING * mark
    by_readings = _NORMAL * expected / math.sqrt(count)
    if count == 1:
        return by_readings
    spread, freedom = stdev(values), count - 1
    if spread <= expected * math.sqrt(_largest_share(freedom)):
        return by_readings
    student = _STUDENT[freedom - 1] if freedom <= len(_STUDENT) else _NORMAL + 2.7 / freedom
    return max(by_readings, student * spread / math.sqrt(count))


def _largest_share(freedom: int) -> float:
    """What the square of a spread, over the expected one, keeps within in 19 of 20 cases: chi
    squared over its degrees of freedom, by Wilson and Hilferty (1931)."""
    ninth = 2 / (9 * freedom)
    return (1 - ninth + 1.645 * math.sqrt(ninth)) ** 3
