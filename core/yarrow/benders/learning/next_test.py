"""The one more test that would narrow a bender's numbers most."""

from __future__ import annotations

import math
from collections.abc import Sequence
from fractions import Fraction
from operator import mul
from typing import Literal

from yarrow.benders.learning.equations import (
    AngleUnknowns,
    Equation,
    Tape,
    angle_equations,
    angles_read,
    length_equations,
)
from yarrow.benders.learning.least_squares import Fitted
from yarrow.benders.learning.measured_bend import MeasuredBend
from yarrow.benders.springback import UNMEASURED
from yarrow.geometry.arcs import gain
from yarrow.measure import ieee
from yarrow.values import dataclass, replace

Number = Literal["take_up", "radius", "springback"]

_LEG_DIAMETERS = 15.0
"""A leg over which an angle that is off is seen, in diameters of the conduit."""

GAIN_OF_RADIUS = gain(1.0, 90.0)
"""What the gain of a 90 grows by with its radius."""

_ANY = Fraction(1)
_AS_SET = AngleUnknowns(0.0, 0.0, 0.0, 1.0)


@dataclass(frozen=True, slots=True)
class NextTest:
    """A test to make: a bend of ``angle`` with what is read of it (``legs``: both of them from
    their ends; ``angle``: what stayed of what it was bent to), which number it narrows, and from
    what half-width to what: a length, or degrees of springback at 45."""

    angle: float
    read: Literal["legs", "angle"]
    narrows: Number
    now: float
    then: float


_LEGS = MeasuredBend(mark=_ANY, stick=_ANY, stub=_ANY, tail=_ANY)
_TESTS: tuple[tuple[Literal["legs", "angle"], MeasuredBend], ...] = (
    ("legs", _LEGS),
    ("legs", MeasuredBend(mark=_ANY, stick=_ANY, stub=_ANY, tail=_ANY, angle=45.0)),
    ("angle", MeasuredBend(commanded=90.0, angle=90.0)),
    ("angle", MeasuredBend(commanded=30.0, angle=30.0)),
)


def next_test(lengths: Fitted, angles: Fitted, tape: Tape) -> NextTest:
    """Of the usual tests the one that takes most off what marks and legs may be out by.

    Args:
        lengths: take-up and radius, as they are known.
        angles: what is known of the scale and of springback.
        tape: that would be read with.

    Source:
        docs/at-the-bender.md, learning a bender.
    """
    leg = math.radians(1.0) * _LEG_DIAMETERS * tape.diameter
    wanted: tuple[tuple[Number, Fitted, tuple[float, ...], float], ...] = (
        ("take_up", lengths, (1.0, 0.0), 1.0),
        ("radius", lengths, (0.0, 1.0), GAIN_OF_RADIUS),
        ("springback", angles, (1.0, 0.5, 0.25), leg),
    )
    best: tuple[float, NextTest] | None = None
    for read, test in _TESTS:
        known = {
            id(lengths): list(
                length_equations([test], angles_read([test]), tape, lengths.values[1])
            ),
            id(angles): list(angle_equations([test], UNMEASURED, _AS_SET)),
        }
        gains = []
        for number, fitted, factors, weight in wanted:
            now = fitted.known_to(factors)
            then = _then(fitted, known[id(fitted)], factors)
            saved = ieee.square(weight) * (ieee.square(now) - ieee.square(then))
            gains.append((saved, NextTest(test.kept, read, number, now, then)))
        saved = math.fsum(saving for saving, _ in gains)
        most = max(gains, key=lambda gain: gain[0])[1]
        if best is None or saved > best[0]:
            best = (saved, most)
    assert best is not None
    return best[1]


def _then(fitted: Fitted, equations: Sequence[Equation], factors: Sequence[float]) -> float:
    """The half-width after more equations: each takes its share off what is not known."""
    covariance = [list(row) for row in fitted.covariance]
    for equation in equations:
        along = [math.fsum(map(mul, equation.factors, row)) for row in covariance]
        whole = math.fsum(map(mul, equation.factors, along)) + ieee.square(equation.error)
        covariance = [
            [cell - one * other / whole for cell, other in zip(row, along, strict=True)]
            for row, one in zip(covariance, along, strict=True)
        ]
    return replace(fitted, covariance=tuple(map(tuple, covariance))).known_to(factors)
