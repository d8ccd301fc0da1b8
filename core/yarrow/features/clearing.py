"""How much higher a 3-bend saddle goes, so that it clears the sides of what is there too."""

from __future__ import annotations

import math

from yarrow.features.leg import Pipe
from yarrow.measure import ieee


def lift_over_round(pipe: Pipe, radius: float, air: float, angle: float) -> float:
    """Over something round, with ρ from its middle to the pipe's centreline: nothing up to ρ = R,
    from there (ρ − R) (1/cos θ − 1).

    Args:
        pipe: for its diameter and centreline radius R, in the unit of the other lengths.
        radius: of what is gone over.
        air: between it and the pipe.
        angle: the centre bend's, 2 θ, in degrees.

    Returns:
        A length ≥ 0.

    Source:
        docs/geometry.md, air.
    """
    to_centreline = radius + (air + pipe.diameter / 2)
    half = math.radians(angle) / 2
    return max(to_centreline - pipe.radius, 0.0) * (1 / ieee.cos(half) - 1)


def lift_over_block(pipe: Pipe, width: float, air: float, angle: float) -> float:
    """Over something square: what keeps its corner clear of the slope, or of the centre arc where
    the corner is under that.

    Args:
        pipe: for its diameter and centreline radius, in the unit of the other lengths.
        width: of what is gone over, along the leg.
        air: between it and the pipe.
        angle: the centre bend's, 2 θ, in degrees.

    Returns:
        A length ≥ 0.

    Source:
        docs/geometry.md, air.
    """
    half, side = math.radians(angle) / 2, width / 2
    apart = air + pipe.diameter / 2
    # Heights of the vertex over the block's top: for the slope, for the arc, over the middle.
    slope = (apart + side * ieee.sin(half)) / ieee.cos(half)
    flat = apart + pipe.radius * (1 / ieee.cos(half) - 1)
    below_arc = pipe.radius / ieee.cos(half) - slope
    height = slope
    if ieee.atan2(side, below_arc) < half and pipe.radius - apart > side:
        height = pipe.radius / ieee.cos(half) - math.sqrt(
            ieee.square(pipe.radius - apart) - ieee.square(side)
        )
    return max(height - flat, 0.0)
