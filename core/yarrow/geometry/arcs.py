"""The three lengths of one round corner: tangent, arc and gain."""

from __future__ import annotations

import math

from yarrow.measure import ieee


def tangent_length(radius: float, angle: float) -> float:
    """T = r tan(θ/2): from the vertex to where the arc begins or ends.

    Args:
        radius: r ≥ 0, a length.
        angle: θ, 0 ≤ θ < 180 degrees.

    Returns:
        In the radius's unit.

    Source:
        docs/geometry.md.
    """
    return radius * ieee.tan(math.radians(angle) / 2)


def arc_length(radius: float, angle: float) -> float:
    """A = r θ: the centreline of the arc.

    Args:
        radius: ≥ 0, a length.
        angle: 0 ≤ θ < 180 degrees.

    Returns:
        In the radius's unit.
    """
    return radius * math.radians(angle)


def gain(radius: float, angle: float) -> float:
    """g = 2 T − A: what the arc saves over the vertex.

    Args:
        radius: ≥ 0, a length.
        angle: 0 ≤ θ < 180 degrees.

    Returns:
        In the radius's unit.
    """
    return 2 * tangent_length(radius, angle) - arc_length(radius, angle)
