"""How the half-bent pipe moves while a bend is made: what lies behind the shoe is drawn along, what
lies ahead of the hook is swept round the shoe's centre."""

from __future__ import annotations

import math
from collections.abc import Collection

from yarrow.bend_simulation.half_bent import half_bent
from yarrow.benders.bender import Hook
from yarrow.geometry.pipe import StraightPipe
from yarrow.geometry.rounded_polyline import Segment
from yarrow.geometry.vectors import Vector, add
from yarrow.measure import ieee
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Moving:
    """The free pieces of a pipe in the bender before a bend, with the straight ``tail`` behind the
    shoe, and how they move until it is at ``angle``, degrees. Both motions are exact: no piece is
    bent again for a moment of the bend."""

    behind: tuple[Segment, ...]
    ahead: tuple[Segment, ...]
    tail: Segment
    radius: float
    angle: float

    @property
    def turn(self) -> float:
        """How far it is bent, radians."""
        return math.radians(self.angle)

    def drawn(self, angle_so_far: float) -> float:
        """How far what lies behind the shoe has come toward it: the pipe that is in the arc.

        Args:
            angle_so_far: degrees into the bend.

        Returns:
            In the bender's unit.
        """
        return self.radius * math.radians(angle_so_far)

    def behind_at(self, angle_so_far: float) -> list[Segment]:
        """The pieces behind the shoe at a moment of the bend.

        Args:
            angle_so_far: degrees into the bend.
        """
        by: Vector = (self.drawn(angle_so_far), 0.0, 0.0)
        return [piece.moved(lambda place: add(place, by), _as_it_is) for piece in self.behind]

    def ahead_at(self, angle_so_far: float) -> list[Segment]:
        """The pieces ahead of the hook at a moment of the bend.

        Args:
            angle_so_far: degrees into the bend.
        """
        turn = math.radians(angle_so_far)
        cos, sin, radius = ieee.cos(turn), ieee.sin(turn), self.radius

        def direction(vector: Vector) -> Vector:
            x, y, z = vector
            return (x * cos - z * sin, y, x * sin + z * cos)

        def place(vector: Vector) -> Vector:
            x, y, z = direction((vector[0], vector[1], vector[2] - radius))
            return (x, y, z + radius)

        return [piece.moved(place, direction) for piece in self.ahead]


def moving(pipe: StraightPipe, made: Collection[int], index: int, hook: Hook) -> Moving:
    """The pipe as it is put in for a bend.

    Args:
        pipe: as for half_bent.
        made: as for half_bent.
        index: as for half_bent.
        hook: as for half_bent.
    """
    rest = half_bent(pipe, made, index, 0.0, hook)
    bend = pipe.bends[index]
    return Moving(rest.behind, rest.ahead, rest.tail, bend.radius, bend.angle)


def _as_it_is(direction: Vector) -> Vector:
    return direction
