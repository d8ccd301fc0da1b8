"""How the half-bent pipe moves while a bend is made: what lies behind the shoe is drawn along, what
lies ahead of the hook is swept round the shoe's centre."""

from __future__ import annotations

import math
from collections.abc import Collection, Iterable
from dataclasses import dataclass, replace

from yarrow.bend_simulation.half_bent import ArcSegment, PipeSegment, StraightSegment, half_bent
from yarrow.benders.bender import Hook
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.vectors import Vector, add, along


@dataclass(frozen=True, slots=True)
class Moving:
    """The free pieces of a pipe in the bender before a bend, and how they move until it is at
    ``angle``, degrees. Both motions are exact: no piece is bent again for a moment of the bend."""

    behind: tuple[PipeSegment, ...]
    ahead: tuple[PipeSegment, ...]
    radius: float
    angle: float

    def drawn(self, swept: float) -> float:
        """How far what lies behind the shoe has come toward it: the pipe that is in the arc."""
        return self.radius * math.radians(swept)

    def behind_at(self, swept: float) -> list[PipeSegment]:
        """The pieces behind the shoe at a moment of the bend."""
        way: Vector = (self.drawn(swept), 0.0, 0.0)
        return [_shifted(piece, way) for piece in self.behind]

    def ahead_at(self, swept: float) -> list[PipeSegment]:
        """The pieces ahead of the hook at a moment of the bend."""
        turn = math.radians(swept)
        cos, sin = math.cos(turn), math.sin(turn)
        return [_swept(piece, cos, sin, self.radius) for piece in self.ahead]

    def never_under(self, height: float, half: float) -> bool:
        """Whether a pipe of that half thickness stays over a height throughout, for certain: each
        point's height is R + x sin θ + (z − R) cos θ, whose least value is known."""
        level = height + half - self.radius
        still = (point[2] for piece in self.behind for point in hull(piece))
        if min(still, default=math.inf) - half < height:
            return False
        return all(
            _least(x, z - self.radius, math.radians(self.angle)) >= level
            for piece in self.ahead
            for x, _, z in hull(piece)
        )


def moving(
    pipe: StraightPipe, made: Collection[int], index: int, hook: Hook, *, arm: bool = False
) -> Moving:
    """The pipe as it is put in for a bend.

    Args: as for half_bent; arm, whether the straight beside the bend may meet something too.
    """
    rest = half_bent(pipe, made, index, 0.0, hook)
    bend = pipe.bends[index]
    ahead = (rest.arm, *rest.ahead) if arm else rest.ahead
    return Moving(rest.behind, ahead, bend.radius, bend.angle)


def hull(piece: PipeSegment) -> Iterable[Vector]:
    """Points whose hull holds a piece: its ends, and for an arc where the tangents there meet."""
    if isinstance(piece, StraightSegment):
        return (piece.begins, piece.ends)
    if piece.turn >= math.pi * 0.9:
        return _square_about(piece)
    tangent = piece.radius * math.tan(piece.turn / 2)
    begins, ends = piece.points(1)
    return (begins, along(begins, piece.ahead, tangent), ends)


def _square_about(arc: ArcSegment) -> tuple[Vector, ...]:
    return tuple(
        along(along(arc.middle, arc.out, a * arc.radius), arc.ahead, b * arc.radius)
        for a in (-1, 1)
        for b in (-1, 1)
    )


def _least(x: float, z: float, turn: float) -> float:
    """The least of x sin θ + z cos θ for θ from 0 to ``turn``."""
    lowest = (math.atan2(x, z) + math.pi) % math.tau
    if lowest <= turn:
        return -math.hypot(x, z)
    return min(z, x * math.sin(turn) + z * math.cos(turn))


def _shifted(piece: PipeSegment, way: Vector) -> PipeSegment:
    if isinstance(piece, StraightSegment):
        return StraightSegment(add(piece.begins, way), add(piece.ends, way), piece.at)
    return replace(piece, middle=add(piece.middle, way))


def _swept(piece: PipeSegment, cos: float, sin: float, radius: float) -> PipeSegment:
    def way(vector: Vector) -> Vector:
        x, y, z = vector
        return (x * cos - z * sin, y, x * sin + z * cos)

    def point(vector: Vector) -> Vector:
        x, y, z = vector
        x, y, z = way((x, y, z - radius))
        return (x, y, z + radius)

    if isinstance(piece, StraightSegment):
        return StraightSegment(point(piece.begins), point(piece.ends), piece.at)
    return ArcSegment(
        point(piece.middle), way(piece.out), way(piece.ahead), piece.radius, piece.turn, piece.at
    )
