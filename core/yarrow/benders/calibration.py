"""Calibration: what a bender does, from test 90s measured with the tape of the work."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction

from yarrow.benders.catalogued import radius_from_gain
from yarrow.geometry.arcs import gain
from yarrow.geometry.errors import GeometryError

RADIUS_PER_GAIN = 1 / (2 - math.pi / 2)
"""2.33: an error in the gain, as an error in the radius."""

SHOWN_ANGLES = (30.0, 45.0, 90.0)


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
    """What test bends say: the means, and how well they are known (half of what they differ by, or
    what one mark of the tape makes, whichever is more)."""

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
    known_to = RADIUS_PER_GAIN * max(mark, _half_range(gains))
    return Calibration(
        tests=len(tests),
        take_up=take_up,
        gain=saved,
        radius=radius,
        arc_behind_front=take_up - radius - diameter / 2,
        take_up_known_to=max(mark, _half_range(take_ups)),
        radius_known_to=known_to,
        effects=tuple(Effect(angle, gain(known_to, angle)) for angle in SHOWN_ANGLES),
    )


def _half_range(values: Sequence[float]) -> float:
    return (max(values) - min(values)) / 2
