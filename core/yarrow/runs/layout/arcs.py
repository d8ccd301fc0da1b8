"""A pipe's arcs, to draw it by: pages and sheets need no geometry of their own."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.geometry.rounded_polyline import round_corner
from yarrow.geometry.vectors import Vector
from yarrow.runs.model.plan import ArcToDraw


def arcs_to_draw(vertices: Sequence[Vector], radius: float) -> tuple[ArcToDraw, ...]:
    """The arc in each corner of a bent pipe.

    Args:
        vertices: of its centreline, with both ends; none where there is no pipe.
        radius: of every arc, in the unit of the vertices.
    """
    corners = (
        round_corner(vertices[at - 1], vertices[at], vertices[at + 1], radius)
        for at in range(1, len(vertices) - 1)
    )
    return tuple(
        ArcToDraw(corner.begins, corner.middle, corner.ends) for corner in corners if corner
    )
