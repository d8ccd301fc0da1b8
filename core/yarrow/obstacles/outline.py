"""Air between a bent pipe and what it goes over: its whole outline, not only its top.

In the plane of the bends: ``u`` along the leg, ``v`` toward the side that the pipe goes, with the
resting pipe's centreline at v = 0. The pipe crosses what it goes over at right angles, so distances
in this plane are the distances in space.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence

from yarrow.geometry.rounded_polyline import RoundedPolyline, rounded
from yarrow.measure import ieee
from yarrow.values import dataclass

PlanePoint = tuple[float, float]


@dataclass(frozen=True, slots=True)
class RoundOutline:
    """A circle about (u, v)."""

    u: float
    v: float
    radius: float

    def distance(self, line: RoundedPolyline) -> tuple[float, float]:
        """The least distance of a centreline from it, and at which u.

        Returns:
            A length in the document's unit; u likewise, along the leg.
        """
        distance, at = _nearest(line, self.u, self.v)
        return distance - self.radius, at


@dataclass(frozen=True, slots=True)
class BlockOutline:
    """Everything below ``top`` from ``begins`` to ``ends`` along the leg."""

    begins: float
    ends: float
    top: float

    def distance(self, line: RoundedPolyline) -> tuple[float, float]:
        """The least distance of a centreline from its corners, or its least height over the top;
        and at which u.

        Returns:
            A length in the document's unit; u likewise, along the leg.
        """
        corners = (_nearest(line, u, self.top) for u in (self.begins, self.ends))
        return min([*corners, *self._heights(line)])

    def _heights(self, line: RoundedPolyline) -> Iterator[tuple[float, float]]:
        """Heights of the centreline over the top, where it is lowest over it.

        No bend that goes over something has its lowest place within an arc, so the ends of
        segments that lie over the block, and the places over its two faces, are all there are.
        """
        for segment in line.segments:
            (au, av, _), (bu, bv, _) = segment.begins, segment.ends
            if not segment.bent:
                yield from ((v - self.top, u) for u, v in ((au, av), (bu, bv)) if self._is_over(u))
            for face in (self.begins, self.ends):
                if not au < face < bu:
                    continue
                if not segment.bent:
                    yield av + (bv - av) * (face - au) / (bu - au) - self.top, face
                    continue
                (mu, mv, _), radius = segment.middle, segment.radius
                up = math.copysign(1.0, av + bv - 2 * mv)
                rise = math.sqrt(max(ieee.square(radius) - ieee.square(face - mu), 0.0))
                yield mv + up * rise - self.top, face

    def _is_over(self, u: float) -> bool:
        return self.begins <= u <= self.ends


Outline = RoundOutline | BlockOutline


@dataclass(frozen=True, slots=True)
class Air:
    """The least air to an outline (below zero: it would cut in so far), and at which u it is."""

    least: float
    at: float


def least_air(
    points: Sequence[PlanePoint], radius: float, diameter: float, outline: Outline
) -> Air:
    """Air between a pipe with round corners and an outline.

    Args:
        points: its vertices in the plane, with both ends.
        radius: of every arc.
        diameter: of the pipe.
        outline: what must not be touched.

    Source:
        docs/geometry.md, air over an obstacle.
    """
    line = rounded([(u, v, 0.0) for u, v in points], [radius] * (len(points) - 2))
    distance, at = outline.distance(line)
    return Air(distance - diameter / 2, at)


def _nearest(line: RoundedPolyline, u: float, v: float) -> tuple[float, float]:
    """Distance from a point to the centreline, and at which u."""
    point = (u, v, 0.0)
    places = [segment.nearest(point) for segment in line.segments]
    return min((math.dist(point, place), place[0]) for place in places)
