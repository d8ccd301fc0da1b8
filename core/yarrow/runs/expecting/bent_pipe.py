"""What moves on a bent pipe when one of its bends is placed or bent a little differently."""

from __future__ import annotations

import math
from collections.abc import Sequence
from itertools import pairwise
from typing import NamedTuple

from yarrow.geometry.pipe import PipeBend
from yarrow.geometry.vectors import Vector, cross, dot, subtract, unit
from yarrow.measure import ieee


class WeighedPoint(NamedTuple):
    """A point of the pipe with the weight that its place has in what is measured: it goes with the
    vertex of that number; the pipe's end goes with the number after the last bend's."""

    vertex: int
    place: Vector
    weight: Vector


class Moves(NamedTuple):
    """What is measured grows by so much: for each bend with its place along the pipe (a ratio) and
    with its angle (a length for a radian); and with the radius of all of them (a ratio)."""

    places: list[float]
    angles: list[float]
    radius: float


class _Corner(NamedTuple):
    """A bend in its vertex. Along the legs beside it, what lies beyond moves with its place, its
    angle and its radius; its vertex with its angle and its radius along the leg before it."""

    way: Vector
    axis: Vector
    vertex: Vector
    slides: Vector
    swings: Vector
    widens: Vector
    tangent_by_angle: float
    tangent_by_radius: float


class BentPipe:
    """A bent pipe whose start is held.

    A bend that goes dx further along the pipe takes its vertex with it along the leg before it, and
    moves all beyond by dx (e − e'), with e and e' the ways of both legs. One that turns dθ further
    about its axis n moves its vertex by dT along e, and what lies beyond at X by dT e +
    (dT − r dθ) e' + dθ n × (X − V), with dT = r dθ / (2 cos²(θ/2)).

    Args:
        vertices: with both ends.
        bends: one a vertex between them.

    Source:
        docs/at-the-bender.md, what to expect.
    """

    def __init__(self, vertices: Sequence[Vector], bends: Sequence[PipeBend]) -> None:
        self.vertices = vertices
        self.ways = [unit(subtract(after, before)) for before, after in pairwise(vertices)]
        self.corners = [
            _corner(bend, vertices[at + 1], self.ways[at], self.ways[at + 1])
            for at, bend in enumerate(bends)
        ]

    def moves(self, points: Sequence[WeighedPoint], first: int, last: int) -> Moves:
        """What a sum of places, each times its weight, grows by.

        Args:
            points: whose weights come to nothing in all, or that are measured from the start.
            first, last: bends among which all of the points are: what lies beyond first only turns
                with the bends before it.
        """
        corners = self.corners
        places, angles = [0.0] * len(corners), [0.0] * len(corners)
        fx = fy = fz = mx = my = mz = radius = 0.0
        for vertex, (x, y, z), (wx, wy, wz) in points:
            if vertex:
                fx, fy, fz = fx + wx, fy + wy, fz + wz
                mx, my, mz = mx + y * wz - z * wy, my + z * wx - x * wz, mz + x * wy - y * wx
        for bend in range(first):
            nx, ny, nz = corners[bend].axis
            angles[bend] = mx * nx + my * ny + mz * nz
        for bend in range(first, last + 1):
            way, (nx, ny, nz), _, slides, swings, widens, by_angle, by_radius = corners[bend]
            own = 0.0
            for vertex, (x, y, z), (wx, wy, wz) in points:
                if vertex == bend + 1:
                    own += wx * way[0] + wy * way[1] + wz * way[2]
                    fx, fy, fz = fx - wx, fy - wy, fz - wz
                    mx, my, mz = mx - y * wz + z * wy, my - z * wx + x * wz, mz - x * wy + y * wx
            places[bend] = fx * slides[0] + fy * slides[1] + fz * slides[2] + own
            turned = fx * swings[0] + fy * swings[1] + fz * swings[2]
            angles[bend] = turned + mx * nx + my * ny + mz * nz + own * by_angle
            radius += fx * widens[0] + fy * widens[1] + fz * widens[2] + own * by_radius
        return Moves(places, angles, radius)

    def along_tape(self, hooked: int, last: int, *, from_end: bool) -> Moves:
        """What a tape that lies along a leg, parallel to it, shows from one vertex to another grows
        by: from where it is hooked to the last bend before that leg.

        Args:
            hooked: number of the vertex; that of an end of the pipe where it is hooked there.
            last: the bend that the leg begins at.
            from_end: whether the tape is hooked beyond it, toward the pipe's end.
        """
        way = self.ways[last] if from_end else self.ways[last + 1]
        back = (-way[0], -way[1], -way[2])
        if from_end:
            way, back = back, way
        datum, reached = self.vertices[hooked], self.vertices[last + 1]
        points = (WeighedPoint(last + 1, reached, way), WeighedPoint(hooked, datum, back))
        low, high = sorted((last, hooked - 1))
        low, high = max(low, 0), min(high, len(self.corners) - 1)
        found = self.moves(points, low, high)
        # What lies between turns as a whole with what comes before: the tape turns with it.
        found.angles[:low] = [0.0] * low
        if not from_end:
            between = subtract(reached, datum)
            for bend in range(low, high + 1):
                found.angles[bend] += dot(cross(self.corners[bend].axis, way), between)
        return found


def _corner(bend: PipeBend, vertex: Vector, before: Vector, after: Vector) -> _Corner:
    half = math.radians(bend.angle) / 2
    tangent, cosine = ieee.tan(half), ieee.cos(half)
    by_angle = bend.radius / (2 * cosine * cosine)
    rest, wider = by_angle - bend.radius, tangent - 2 * half
    (bx, by, bz), (ax, ay, az) = before, after
    axis = unit(cross(before, after))
    turned = cross(axis, vertex)
    return _Corner(
        before,
        axis,
        vertex,
        (bx - ax, by - ay, bz - az),
        (
            by_angle * bx + rest * ax - turned[0],
            by_angle * by + rest * ay - turned[1],
            by_angle * bz + rest * az - turned[2],
        ),
        (tangent * bx + wider * ax, tangent * by + wider * ay, tangent * bz + wider * az),
        by_angle,
        tangent,
    )
