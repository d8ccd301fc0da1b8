"""The half-bent pipe in the bender's own frame, at any moment of a bend.

The frame: the pipe behind the shoe (the heel's side) lies along −x, z is up, and the pipe on the
hook's side is swept up from +x. The origin is on the centreline, where it leaves the straight for
the arc.
"""

from __future__ import annotations

import math
from collections.abc import Collection

from yarrow.benders.bender import Hook
from yarrow.geometry.pipe import PipeBend, StraightPipe
from yarrow.geometry.rounded_polyline import ArcSegment, Segment, StraightSegment
from yarrow.geometry.vectors import Vector, add, along, cross, dot, scaled, turned
from yarrow.values import dataclass

_AHEAD: Vector = (1.0, 0.0, 0.0)
_REFERENCE: Vector = (0.0, 0.0, 1.0)


@dataclass(frozen=True, slots=True)
class HalfBent:
    """A pipe in the bender: its pieces in order, with their places on the straight pipe. What is
    neither in the bend being made nor straight beside it may meet something: ``behind`` the shoe
    it keeps its height, ``ahead`` of the hook it is swept up. The straights beside the bend are the
    ``arm`` ahead of it and the ``tail`` behind."""

    pieces: tuple[Segment, ...]
    behind: tuple[Segment, ...]
    ahead: tuple[Segment, ...]
    arm: Segment
    tail: Segment


def half_bent(
    pipe: StraightPipe,
    made: Collection[int],
    index: int,
    angle_so_far: float,
    hook: Hook,
) -> HalfBent:
    """The pipe while a bend is made, in the bender's frame.

    The arc forms from the hook's end of it and grows toward the heel, whose side stays where it is.

    Args:
        pipe: before any bend.
        made: the bends that are in it already.
        index: the one that is being made.
        angle_so_far: how far it is by now, degrees.
        hook: the end that the hook faces.

    Source:
        docs/at-the-bender.md, the half-bent pipe.
    """
    rolls = pipe.rolls_from_start
    bend = pipe.bends[index]
    formed = bend.radius * math.radians(angle_so_far)
    forming = PipeBend(
        bend.arc_end - formed if hook == "end" else bend.arc_start, angle_so_far, 0.0, bend.radius
    )
    place, ahead, reference = (0.0, 0.0, 0.0), _AHEAD, _REFERENCE
    reached = 0.0
    pieces: list[Segment] = []
    first = last = 0
    lies: tuple[Vector, Vector, Vector] | None = None
    for number in sorted({*made, index}):
        pipe_bend = forming if number == index else pipe.bends[number]
        ends = along(place, ahead, pipe_bend.arc_start - reached)
        pieces.append(StraightSegment(place, ends, reached))
        first = len(pieces) - 1 if number == index else first
        place = ends
        toward, _ = turned(reference, cross(ahead, reference), rolls[number])
        if number == index and hook == "end":
            lies = (place, ahead, toward)
        angle = math.radians(pipe_bend.angle)
        if angle > 0:
            middle = along(place, toward, pipe_bend.radius)
            pieces.append(
                ArcSegment(
                    middle,
                    scaled(toward, -1.0),
                    ahead,
                    pipe_bend.radius,
                    angle,
                    pipe_bend.arc_start,
                )
            )
            place = pieces[-1].ends
            side = cross(ahead, toward)
            inward = dot(reference, toward)
            across = dot(reference, side)
            ahead, toward = turned(ahead, toward, pipe_bend.angle)
            reference = add(scaled(toward, inward), scaled(side, across))
        if number == index and hook == "start":
            lies = (place, scaled(ahead, -1.0), toward)
        last = len(pieces) if number == index else last
        reached = pipe_bend.arc_end
    pieces.append(
        StraightSegment(place, along(place, ahead, max(pipe.cut_length - reached, 0.0)), reached)
    )
    origin, x_axis, z_axis = lies or (place, ahead, reference)
    seen = _seen_from(pieces, origin, x_axis, z_axis)
    before, after = seen[:first], seen[last + 1 :]
    if hook == "end":
        return HalfBent(seen, before, after, seen[last], seen[first])
    return HalfBent(seen, after, before, seen[first], seen[last])


def _seen_from(
    pieces: Collection[Segment], origin: Vector, x_axis: Vector, z_axis: Vector
) -> tuple[Segment, ...]:
    x0, y0, z0 = origin
    (ax, ay, az), (bx, by, bz), (cx, cy, cz) = x_axis, cross(z_axis, x_axis), z_axis

    def way(vector: Vector) -> Vector:
        x, y, z = vector
        return x * ax + y * ay + z * az, x * bx + y * by + z * bz, x * cx + y * cy + z * cz

    def point(vector: Vector) -> Vector:
        x, y, z = vector
        return way((x - x0, y - y0, z - z0))

    return tuple(segment.moved(point, way) for segment in pieces)
