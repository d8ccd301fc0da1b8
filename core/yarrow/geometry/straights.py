"""The straights of a bent pipe: where each lies in space and on the pipe before it was bent."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.geometry.arcs import tangent_length
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.vectors import Vector, along, dot, length, scaled, subtract
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class StraightPart:
    """A straight between two arcs: from ``begins`` to ``ends`` on the straight pipe, from ``point``
    in space in the direction ``ahead``."""

    begins: float
    ends: float
    point: Vector
    ahead: Vector

    def at(self, place: float) -> Vector:
        """The point in space of a place on the straight pipe.

        Args:
            place: from the pipe's start.
        """
        return along(self.point, self.ahead, place - self.begins)

    def level_with(self, origin: Vector, way: Vector, at: float) -> float | None:
        """The place on the straight pipe that is ``at`` along a way from an origin, as a tape has
        it; None where the straight has no such place.

        Args:
            origin: where the tape is hooked.
            way: that it is laid along, a unit vector.
            at: what it reads.

        Returns:
            From the pipe's start, in its unit.
        """
        slope = dot(self.ahead, way)
        if slope <= _SQUARE:
            return None
        place = self.begins + (at - dot(subtract(self.point, origin), way)) / slope
        return place if self.begins - _HAIR <= place <= self.ends + _HAIR else None

    def nearest(self, point: Vector) -> tuple[float, float]:
        """How far a point is off this straight, and the place on the pipe that it is nearest to.

        Args:
            point: in space.

        Returns:
            Both in the pipe's unit.
        """
        place = self.begins + dot(subtract(point, self.point), self.ahead)
        place = min(max(place, self.begins), self.ends)
        return length(subtract(point, self.at(place))), place


def straight_at(straights: Sequence[StraightPart], place: float) -> StraightPart:
    """The straight that a place lies on, or that it is nearest to.

    Args:
        straights: of a pipe.
        place: from the straight pipe's start, in its unit.
    """
    return min(straights, key=lambda part: max(part.begins - place, place - part.ends))


_SQUARE = 1e-3
"""Of a unit: a straight that is this nearly square to the tape has no place that the tape reads."""

_HAIR = 1e-9


def straights_of(vertices: Sequence[Vector], pipe: StraightPipe) -> tuple[StraightPart, ...]:
    """The straights of a pipe, one more than its bends, in order.

    Args:
        vertices: with both ends, in the frame that the pipe was developed from.
        pipe: that it was developed to.
    """
    straight_parts = []
    begins, point, after = 0.0, vertices[0], 0.0
    corners = [*pipe.corners, len(vertices) - 1]
    for index, corner in enumerate(corners):
        leg = subtract(vertices[corner], point)
        ahead = scaled(leg, 1 / length(leg))
        ends = pipe.bends[index].arc_start if index < len(pipe.bends) else pipe.cut_length
        straight_parts.append(StraightPart(begins, ends, along(point, ahead, after), ahead))
        if index < len(pipe.bends):
            bend = pipe.bends[index]
            begins, after = bend.arc_end, tangent_length(bend.radius, bend.angle)
            point = vertices[corner]
    return tuple(straight_parts)
