"""Vectors in space as plain triples, all in one unit, whichever: fast enough without a library."""

from __future__ import annotations

import math
from functools import lru_cache

from yarrow.measure import ieee

Vector = tuple[float, float, float]

ORIGIN: Vector = (0.0, 0.0, 0.0)


def add(a: Vector, b: Vector) -> Vector:
    """a + b.

    Args:
        a: any.
        b: in the same unit.

    Returns:
        In that unit.
    """
    return (a[0] + b[0], a[1] + b[1], a[2] + b[2])


def subtract(a: Vector, b: Vector) -> Vector:
    """a − b.

    Args:
        a: any.
        b: in the same unit.

    Returns:
        In that unit.
    """
    return (a[0] - b[0], a[1] - b[1], a[2] - b[2])


def along(start: Vector, direction: Vector, distance: float) -> Vector:
    """start + distance · direction.

    Args:
        start: a place.
        direction: of length 1, for the distance to be one.
        distance: in the unit of the place.

    Returns:
        A place in that unit.
    """
    return (
        start[0] + distance * direction[0],
        start[1] + distance * direction[1],
        start[2] + distance * direction[2],
    )


def dot(a: Vector, b: Vector) -> float:
    """a · b.

    Args:
        a: any.
        b: likewise.

    Returns:
        In the product of their units.
    """
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2]


def cross(a: Vector, b: Vector) -> Vector:
    """a × b, right-handed.

    Args:
        a: any.
        b: likewise.

    Returns:
        In the product of their units.
    """
    return (a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0])


def length(a: Vector) -> float:
    """|a|, without overflow or underflow on the way.

    Args:
        a: any.

    Returns:
        In its unit, never below zero.
    """
    return math.hypot(*a)


def scaled(a: Vector, factor: float) -> Vector:
    """factor · a.

    Args:
        a: any.
        factor: a ratio.

    Returns:
        In the unit of a.
    """
    return (a[0] * factor, a[1] * factor, a[2] * factor)


def unit(a: Vector) -> Vector:
    """a at length 1 (as it is where it has none).

    Args:
        a: any.

    Returns:
        A direction, without a unit.
    """
    x, y, z = a
    factor = 1 / (math.hypot(x, y, z) or 1.0)
    return (x * factor, y * factor, z * factor)


def angle_between(a: Vector, b: Vector) -> float:
    """From one direction a to another, b: degrees from 0 to 180; lengths do not matter.

    Args:
        a: of any length but zero.
        b: likewise.

    Returns:
        Degrees.
    """
    return math.degrees(ieee.atan2(length(cross(a, b)), dot(a, b)))


def turned(ahead: Vector, side: Vector, degrees: float) -> tuple[Vector, Vector]:
    """Both of a pair of perpendicular unit vectors, turned in their own plane from ahead to side.

    Args:
        ahead: unit and perpendicular.
        side: unit and perpendicular.
        degrees: positive from ahead toward side.

    Returns:
        (new ahead, new side).
    """
    cos, sin = _cos_sin(degrees)
    (ax, ay, az), (sx, sy, sz) = ahead, side
    return (
        (ax * cos + sx * sin, ay * cos + sy * sin, az * cos + sz * sin),
        (sx * cos - ax * sin, sy * cos - ay * sin, sz * cos - az * sin),
    )


@lru_cache(maxsize=1024)
def _cos_sin(degrees: float) -> tuple[float, float]:
    # A square corner is exact, so that a wall a mile off is still square to the run.
    quarter, rest = divmod(degrees, 90.0)
    if rest == 0.0:
        return ((1.0, 0.0), (0.0, 1.0), (-1.0, 0.0), (0.0, -1.0))[int(quarter) % 4]
    angle = math.radians(degrees)
    return ieee.cos(angle), ieee.sin(angle)
