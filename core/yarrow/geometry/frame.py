"""The frame that a run carries with it: ahead, left and out, turned at every corner."""

from __future__ import annotations

from typing import Literal

from yarrow.geometry.vectors import Vector, along, cross, dot, scaled, turned, unit
from yarrow.values import dataclass

Side = Literal["out", "in", "left", "right"]


@dataclass(frozen=True, slots=True)
class Frame:
    """Three perpendicular unit vectors. At the start: ahead +x, left +y, out +z."""

    ahead: Vector = (1.0, 0.0, 0.0)
    left: Vector = (0.0, 1.0, 0.0)
    out: Vector = (0.0, 0.0, 1.0)

    def toward(self, side: Side) -> Vector:
        """The unit vector that a word names."""
        if side == "left":
            return self.left
        if side == "out":
            return self.out
        return scaled(self.left if side == "right" else self.out, -1.0)

    def turned(self, side: Side, angle: float) -> Frame:
        """The frame after a turn: carried along in the plane of the turn (parallel transport).

        Args:
            side: toward which it turns.
            angle: in degrees.
        """
        if side in ("left", "right"):
            ahead, left = turned(self.ahead, self.left, angle if side == "left" else -angle)
        else:
            ahead, _ = turned(self.ahead, self.out, angle if side == "out" else -angle)
            left = self.left
        # Squared anew: over hundreds of turns what is a hair off would grow.
        ahead = unit(ahead)
        left = unit(along(left, ahead, -dot(left, ahead)))
        return Frame(ahead, left, cross(ahead, left))
