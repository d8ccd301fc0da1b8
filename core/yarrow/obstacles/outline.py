"""Air between a bent pipe and what it goes over: its whole outline, not only its top.

In the plane of the bends: ``u`` along the leg, ``v`` toward the side that the pipe goes, with the
resting pipe's centreline at v = 0. The pipe crosses what it goes over at right angles, so distances
in this plane are the distances in space.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from yarrow.geometry.arcs import tangent_length

PlanePoint = tuple[float, float]


@dataclass(frozen=True, slots=True)
class RoundOutline:
    """A circle about (u, v)."""

    u: float
    v: float
    radius: float


@dataclass(frozen=True, slots=True)
class BlockOutline:
    """Everything below ``top`` from ``begins`` to ``ends`` along the leg."""

    begins: float
    ends: float
    top: float


Outline = RoundOutline | BlockOutline


@dataclass(frozen=True, slots=True)
class Air:
    """The least air to an outline (below zero: it would cut in so far), and at which u it is."""

    least: float
    at: float


@dataclass(frozen=True, slots=True)
class _Arc:
    centre: PlanePoint
    radius: float
    begins: PlanePoint
    ends: PlanePoint


def least_air(
    points: Sequence[PlanePoint], radius: float, diameter: float, outline: Outline
) -> Air:
    """Air between a pipe with round corners and an outline.

    Args: points, the vertices in the plane, with both ends; radius of every arc; diameter.
    Source: docs/geometry.md, air over an obstacle.
    """
    segments, arcs = _rounded(points, radius)
    if isinstance(outline, RoundOutline):
        distance, at = _nearest(segments, arcs, (outline.u, outline.v))
        return Air(distance - outline.radius - diameter / 2, at)
    found = [
        _nearest(segments, arcs, (outline.begins, outline.top)),
        _nearest(segments, arcs, (outline.ends, outline.top)),
        *_above(segments, arcs, outline),
    ]
    least, at = min(found)
    return Air(least - diameter / 2, at)


def _rounded(
    points: Sequence[PlanePoint], radius: float
) -> tuple[list[tuple[PlanePoint, PlanePoint]], list[_Arc]]:
    """Straights and arcs of a polyline in the plane."""
    segments, arcs = [], []
    begins = points[0]
    for before, vertex, after in zip(points, points[1:], points[2:], strict=False):
        into, out = _unit(before, vertex), _unit(vertex, after)
        cross = into[0] * out[1] - into[1] * out[0]
        turn = math.atan2(cross, into[0] * out[0] + into[1] * out[1])
        tangent = tangent_length(radius, abs(math.degrees(turn)))
        arc_begins = (vertex[0] - tangent * into[0], vertex[1] - tangent * into[1])
        arc_ends = (vertex[0] + tangent * out[0], vertex[1] + tangent * out[1])
        way = math.copysign(1.0, turn)
        centre = (arc_begins[0] - way * radius * into[1], arc_begins[1] + way * radius * into[0])
        segments.append((begins, arc_begins))
        arcs.append(_Arc(centre, radius, arc_begins, arc_ends))
        begins = arc_ends
    segments.append((begins, points[-1]))
    return segments, arcs


def _nearest(
    segments: Sequence[tuple[PlanePoint, PlanePoint]], arcs: Sequence[_Arc], point: PlanePoint
) -> tuple[float, float]:
    """Distance from a point to the centreline, and at which u."""
    best = (math.inf, 0.0)
    for (au, av), (bu, bv) in segments:
        du, dv = bu - au, bv - av
        size = du * du + dv * dv
        along = ((point[0] - au) * du + (point[1] - av) * dv) / size if size else 0.0
        along = min(max(along, 0.0), 1.0)
        u, v = au + along * du, av + along * dv
        best = min(best, (math.hypot(point[0] - u, point[1] - v), u))
    for arc in arcs:
        spoke = (point[0] - arc.centre[0], point[1] - arc.centre[1])
        size = math.hypot(*spoke)
        if size and _within(arc, spoke):
            u = arc.centre[0] + spoke[0] / size * arc.radius
            best = min(best, (abs(size - arc.radius), u))
    return best


def _within(arc: _Arc, spoke: PlanePoint) -> bool:
    """Whether a direction from the centre lies between the arc's ends (an arc under 180°)."""
    first = (arc.begins[0] - arc.centre[0], arc.begins[1] - arc.centre[1])
    last = (arc.ends[0] - arc.centre[0], arc.ends[1] - arc.centre[1])
    way = first[0] * last[1] - first[1] * last[0]
    from_first = first[0] * spoke[1] - first[1] * spoke[0]
    to_last = spoke[0] * last[1] - spoke[1] * last[0]
    return from_first * way >= 0 and to_last * way >= 0


def _above(
    segments: Sequence[tuple[PlanePoint, PlanePoint]], arcs: Sequence[_Arc], block: BlockOutline
) -> list[tuple[float, float]]:
    """Heights of the centreline over a block's top, where it is lowest over it.

    No bend that goes over something has its lowest place within an arc, so the ends of straights
    that lie over the block, and the places over its two faces, are all there are.
    """
    found = [(v - block.top, u) for ends in segments for u, v in ends if _over(block, u)]
    for face in (block.begins, block.ends):
        for (au, av), (bu, bv) in segments:
            if au < face < bu:
                found.append((av + (bv - av) * (face - au) / (bu - au) - block.top, face))
        for arc in arcs:
            if arc.begins[0] < face < arc.ends[0]:
                up = math.copysign(1.0, arc.begins[1] + arc.ends[1] - 2 * arc.centre[1])
                rise = math.sqrt(max(arc.radius**2 - (face - arc.centre[0]) ** 2, 0.0))
                found.append((arc.centre[1] + up * rise - block.top, face))
    return found


def _over(block: BlockOutline, u: float) -> bool:
    return block.begins <= u <= block.ends


def _unit(begins: PlanePoint, ends: PlanePoint) -> PlanePoint:
    du, dv = ends[0] - begins[0], ends[1] - begins[1]
    size = math.hypot(du, dv)
    return du / size, dv / size
