"""The bender with the half-bent pipe in it, from the side, as it lies before who bends it: x toward
the hook, which is on the right, y up, in the pipe's unit."""

from __future__ import annotations

import math
from collections.abc import Sequence

from yarrow.bend_simulation.half_bent import HalfBent
from yarrow.benders.bender import Bender, Hook, Reference
from yarrow.benders.drawn.shapes import HANDLE_LEANS, Point, ToolNumbers, ToolShape, mark_on_shoe
from yarrow.catalog.stances import Stance
from yarrow.geometry.vectors import Vector
from yarrow.measure import ieee
from yarrow.measure.units import Unit, convert_length
from yarrow.values import dataclass

_ARC_POINTS = 8
_SHOWN_MARKS: tuple[Reference, ...] = ("front", "back", "centre")


@dataclass(frozen=True, slots=True)
class BenderView:
    """How a moment of a bend is seen: the tool's stance, the bend's radius and what it is bent to,
    degrees. On the floor the tail lies and the tool has rolled along it; in the air the hook's side
    stays level, and all is turned over about the pipe."""

    stance: Stance
    radius: float
    angle: float

    def line(self, points: Sequence[Vector]) -> tuple[Vector, ...]:
        """Points as they are seen.

        Args:
            points: in the bender's frame: the tail along -x, z up, the hook's side swept up.

        Returns:
            Each to the right, away, up, in the bender's unit.
        """
        if not self.stance.in_air:
            return tuple(points)
        back, radius = math.radians(-self.angle), self.radius
        cos, sin = ieee.cos(back), ieee.sin(back)
        return tuple(
            (
                x * cos - (z - radius) * sin,
                -y,
                -(x * sin + (z - radius) * cos + radius),
            )
            for x, y, z in points
        )

    def tool(self, shapes: Sequence[ToolShape]) -> tuple[ToolShape, ...]:
        """The tool as it stands at that moment: it has turned with the hook's side, but for what
        guides the tail.

        Args:
            shapes: in the tool's own frame.
        """
        turned = math.radians(0.0 if self.stance.in_air else self.angle)
        up = -1.0 if self.stance.in_air else 1.0
        cos, sin = ieee.cos(turned), ieee.sin(turned)

        def motion(point: Point) -> Point:
            x, high = point[0], point[1] - self.radius
            return x * cos - high * sin, up * (x * sin + high * cos + self.radius)

        return tuple(shape if shape.role == "guide" else shape.moved(motion) for shape in shapes)


def tool_shapes(
    bender: Bender, stance: Stance, reference: Reference, unit: Unit
) -> list[ToolShape]:
    """A bender from the side in its own frame, the mark last that a bend is put on.

    Args:
        bender: with its kind, which draws it.
        stance: for its handle and heel.
        reference: the mark that is used.
        unit: of the bender's lengths.
    """
    handle, heel = (
        convert_length(value, "mm", unit) for value in (stance.handle_mm, stance.heel_mm)
    )
    if stance.in_air:
        handle /= ieee.sin(math.radians(HANDLE_LEANS))  # aslant down to the floor
    tool = ToolNumbers(bender.radius, bender.diameter, bender.arc_behind_front, handle, heel)
    shapes = bender.traits.drawn(tool)
    if bender.way == "mark":
        shapes += [
            ToolShape("mark", mark_on_shoe(tool, bender.behind_front(mark)))
            for mark in _SHOWN_MARKS
            if mark != reference
        ]
    used = mark_on_shoe(tool, bender.behind_front(reference))
    return [*shapes, ToolShape("used", used, text=bender.mark_name(reference))]


def pencil_line(
    begins: Vector, ends: Vector, lies: float, hook: Hook, half: float
) -> ToolShape | None:
    """The line that was pencilled along the top at the first bend, where it is seen on the tail;
    None where it is on the far side.

    Args:
        begins, ends: of the straight behind the shoe, as it is seen.
        lies: how far the line is from the top, degrees clockwise seen from the pipe's start.
        hook: the end that the hook faces, which is on the right.
        half: the pipe's half thickness.
    """
    turned = math.radians(lies)
    away = ieee.sin(turned) * (1.0 if hook == "start" else -1.0)
    if away > 1e-6:
        return None
    (x, _, y), (to_x, _, to_y) = begins, ends
    length = math.hypot(to_x - x, to_y - y) or 1.0
    up = ieee.cos(turned) * half * math.copysign(1.0, to_x - x)
    aside = (-(to_y - y) / length * up, (to_x - x) / length * up)
    points = ((x + aside[0], y + aside[1]), (to_x + aside[0], to_y + aside[1]))
    return ToolShape("pencil", points)


def centrelines(bent: HalfBent) -> list[list[Vector]]:
    """The centreline of each piece of a half-bent pipe as points.

    Args:
        bent: in the bender's frame.

    Returns:
        In the bender's frame and unit, in order along the pipe.
    """
    return [piece.points(_ARC_POINTS) for piece in bent.pieces]
