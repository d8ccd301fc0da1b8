"""Sines, sums and powers that come to the same bits on every machine.

What the C library gives for a sine differs in its last digit from one library, and from one
processor, to the next, and ``sum`` does from one Python to the next. Where two ways of bending cost
the same, that digit chooses between them: a run would be planned one way by the server, another in
a phone. Here stand the functions that differ, made of additions, multiplications, divisions and
square roots, which IEEE 754 settles to the last bit (``math.sqrt``, ``hypot``, ``dist``, ``fsum``,
``radians`` and ``degrees`` are made of no more). Angles are in radians.

The polynomials are those of the "freely distributable maths library" (1993): what they leave out is
below the last bit; a result is within one of its last bits.
"""

from __future__ import annotations

import math
from decimal import Context, Decimal
from functools import lru_cache
from typing import Final

_QUARTER: Final = (1.57079632673412561417, 6.07710050630396597660e-11, 2.02226624879595063154e-21)
"""π/2 in three parts: of the first two only so many bits that a few turns of them are exact."""
_PER_QUARTER: Final = 6.36619772367581382433e-01

_SINE: Final = (
    -1.66666666666666324348e-01,
    8.33333333332248946124e-03,
    -1.98412698298579493134e-04,
    2.75573137070700676789e-06,
    -2.50507602534068634195e-08,
    1.58969099521155010221e-10,
)
_COSINE: Final = (
    4.16666666666666019037e-02,
    -1.38888888888741095749e-03,
    2.48015872894767294178e-05,
    -2.75573143513906633035e-07,
    2.08757232129817482790e-09,
    -1.13596475577881948265e-11,
)
_ARC_TANGENT: Final = (
    3.33333333333329318027e-01,
    -1.99999999998764832476e-01,
    1.42857142725034663711e-01,
    -1.11111104054623557880e-01,
    9.09088713343650656196e-02,
    -7.69187620504482999495e-02,
    6.66107313738753120669e-02,
    -5.83357013379057348645e-02,
    4.97687799461593236017e-02,
    -3.65315727442169155270e-02,
    1.62858201153657823623e-02,
)
_FURTHEST: Final = 1e5
"""Radians, to which the three parts of a quarter turn are enough."""
_KEPT: Final = 1 << 13
"""Angles of which the results are kept: a run's are asked for again and again."""
_ALL_OF_IT: Final = 6.0
"""Beyond it less than the last bit of 1 is missing."""
_WIDE: Final = Context(prec=25)
"""Decimal digits, eight more than a float has: rounded to one, they give the nearest."""


def sin(angle: float) -> float:
    """The sine.

    Args:
        angle: in radians.

    Returns:
        -1 to 1.
    """
    return _sine_cosine(angle)[0] if angle else angle  # a zero keeps its sign


def cos(angle: float) -> float:
    """The cosine.

    Args:
        angle: in radians.

    Returns:
        -1 to 1.
    """
    return _sine_cosine(angle)[1]


def tan(angle: float) -> float:
    """The tangent.

    Args:
        angle: in radians.

    Returns:
        Any size.
    """
    sine, cosine = _sine_cosine(angle)
    return sine / cosine if angle else angle


@lru_cache(_KEPT)
def _sine_cosine(angle: float) -> tuple[float, float]:
    if not -_FURTHEST < angle < _FURTHEST:
        angle = math.fmod(angle, math.tau)  # of no use to anybody, and no reason to fail
        if angle != angle:
            return angle, angle
    turns = round(angle * _PER_QUARTER)
    first, second, third = _QUARTER
    rest = angle - turns * first
    by = turns * second
    near = rest - by
    lost = turns * third - ((rest - near) - by)
    x = near - lost
    y = (near - x) - lost
    squared = x * x
    sine, cosine = _near_sine(x, y, squared), _near_cosine(x, y, squared)
    match turns % 4:
        case 0:
            return sine, cosine
        case 1:
            return cosine, -sine
        case 2:
            return -sine, -cosine
    return -cosine, sine


def _near_sine(x: float, y: float, squared: float) -> float:
    """The sine of x + y, within an eighth of a turn; y is what x could not hold."""
    one, two, three, four, five, six = _SINE
    cube = squared * x
    rest = two + squared * (three + squared * (four + squared * (five + squared * six)))
    return x - ((squared * (0.5 * y - cube * rest) - y) - cube * one)


def _near_cosine(x: float, y: float, squared: float) -> float:
    one, two, three, four, five, six = _COSINE
    rest = one + squared * (
        two + squared * (three + squared * (four + squared * (five + squared * six)))
    )
    half = 0.5 * squared
    whole = 1.0 - half
    return whole + (((1.0 - whole) - half) + (squared * (squared * rest) - x * y))


def atan2(y: float, x: float) -> float:
    """The angle of the point (x, y) as seen from the origin; 0 for the origin itself.

    Args:
        y: across, any size.
        x: ahead, likewise.

    Returns:
        Radians, -π to π.
    """
    if x == 0.0 and y == 0.0:
        return math.copysign(math.pi if math.copysign(1.0, x) < 0 else 0.0, y)
    high, wide = abs(y), abs(x)
    angle = _arc_tangent(high / wide) if high <= wide else math.pi / 2 - _arc_tangent(wide / high)
    return math.copysign(math.pi - angle if x < 0 else angle, y)


def _arc_tangent(x: float) -> float:
    """Of 0 to 1: about what is nearest of 0, atan ½ and π/4."""
    begins, rest = 0.0, 0.0
    if x >= 11 / 16:
        begins, rest, x = 7.85398163397448278999e-01, 3.06161699786838301793e-17, (x - 1) / (x + 1)
    elif x >= 7 / 16:
        begins, rest = 4.63647609000806093515e-01, 2.26987774529616870924e-17
        x = (2 * x - 1) / (2 + x)
    squared, powers = x * x, 0.0
    for factor in reversed(_ARC_TANGENT):
        powers = squared * (factor + powers)
    return begins - ((x * powers - rest) - x)


def asin(sine: float) -> float:
    """The angle that has a sine.

    Args:
        sine: -1 to 1.

    Returns:
        Radians, -π/2 to π/2.
    """
    return atan2(sine, math.sqrt((1.0 - sine) * (1.0 + sine)))


def acos(cosine: float) -> float:
    """The angle that has a cosine.

    Args:
        cosine: -1 to 1.

    Returns:
        Radians, 0 to π.
    """
    return atan2(math.sqrt((1.0 - cosine) * (1.0 + cosine)), cosine)


def exp(value: float) -> float:
    """e to the power of a value.

    Args:
        value: the power.

    Returns:
        Above 0.
    """
    return float(_WIDE.exp(Decimal(value)))


def log(value: float) -> float:
    """The natural logarithm.

    Args:
        value: above 0.

    Returns:
        The power of e that it is.
    """
    return float(_WIDE.ln(Decimal(value)))


def erf(value: float) -> float:
    """The share of a normal distribution within so many standard deviations: by its series of
    positive terms, 2/√π · e^(-x²) · (x + 2x³/3 + 4x⁵/15 + …).

    Args:
        value: deviations, by √2.

    Returns:
        0 to 1, with the sign of the value.
    """
    if abs(value) > _ALL_OF_IT:
        return math.copysign(1.0, value)
    term = whole = value
    odd = 1
    while abs(term) > abs(whole) * 1e-17:
        odd += 2
        term *= 2 * value * value / odd
        whole += term
    return 2 / math.sqrt(math.pi) * exp(-value * value) * whole


def square(value: float) -> float:
    """A value times itself: ``value**2`` goes through logarithms.

    Args:
        value: any.

    Returns:
        The product.
    """
    return value * value
