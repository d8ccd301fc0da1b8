"""A piece in the bender, carried to where it belongs on the wall."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.benders.bender import Hook
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.rounded_polyline import round_corner
from yarrow.geometry.vectors import Vector, cross
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
    (x0, y0, z0), (ax, ay, az), (cx, cy, cz) = bent.begins, bent.ahead, bent.inside
    bx, by, bz = cross(bent.inside, bent.ahead)
    return tuple(
        (
            x0 + x * ax + y * bx + z * cx,
            y0 + x * ay + y * by + z * cy,
            z0 + x * az + y * bz + z * cz,
        )
        for x, y, z in points
    )
