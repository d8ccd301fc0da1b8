"""A piece in the bender, carried to where it belongs on the wall."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.benders.bender import Hook
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.rounded_polyline import round_corner
from yarrow.geometry.vectors import Vector, along, cross
from yarrow.runs.layout.walk import Layout


def on_wall(
    points: Sequence[Vector], layout: Layout, pipe: StraightPipe, bend: int, hook: Hook
) -> tuple[Vector, ...]:
    """Points of the bender's frame, with a bend just made, in the frame of the plan: carried and
    turned as a whole, never mirrored, so that this bend comes where it belongs.

    Args:
        points: in the bender's frame.
        bend: the one just made.
        hook: the end that it faced. In the bender's frame the arc begins at the origin, the pipe
            behind it lies along −x, and the shoe is above it.

    Returns:
        As many points, in the frame of the plan.

    Raises:
        ValueError: the line does not turn there.
    """
    corner = pipe.corners[bend]
    before, at, after = (layout.vertices[corner + step] for step in (-1, 0, 1))
    if hook == "start":
        before, after = after, before
    bent = round_corner(before, at, after, pipe.bends[bend].radius)
    if bent is None:
        raise ValueError(f"vertex {corner} is no bend")
    # x along the pipe toward the bend, z to its inside; y completes a right-handed frame.
    origin, x_axis, z_axis = bent.begins, bent.ahead, bent.inside
    y_axis = cross(z_axis, x_axis)
    return tuple(along(along(along(origin, x_axis, x), y_axis, y), z_axis, z) for x, y, z in points)
