"""Shapes of a tool seen from the side, and what they are made of.

The tool's frame: the pipe's centreline lies along x with the hook toward +x, the arc begins at the
origin, y is up, and the shoe's centre is at (0, R). All lengths are in one unit.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from typing import Literal

from yarrow.measure import ieee
from yarrow.values import dataclass

HANDLE_LEANS = 60.0
"""Degrees from the pipe on the hook's side to the handle: upright when a bend is at 30."""

Point = tuple[float, float]

ShapeRole = Literal[
    "shoe", "web", "handle", "frame", "guide", "hook", "degree", "mark", "used", "pencil"
]
"""What a shape is, for whoever gives it line and colour. A guide stays with the pipe's tail; all
else turns with the shoe."""


@dataclass(frozen=True, slots=True)
class ToolShape:
    """A line or a closed outline; ``text`` is written at its first point."""

    role: ShapeRole
    points: tuple[Point, ...]
    closed: bool = False
    text: str = ""

    def moved(self, motion: Callable[[Point], Point]) -> ToolShape:
        """The same elsewhere.

        Args:
            motion: where each point comes to.
        """
        return ToolShape(self.role, tuple(map(motion, self.points)), self.closed, self.text)


@dataclass(frozen=True, slots=True)
class ToolNumbers:
    """What a tool is drawn from: centreline ``radius``, ``diameter`` of the pipe, how far the arc
    begins behind the front mark, how far the handle reaches from the shoe's centre and the heel
    beyond the groove (0: none)."""

    radius: float
    diameter: float
    arc_behind_front: float
    handle: float
    heel: float

    @property
    def groove(self) -> float:
        """From the shoe's centre to the bottom of its groove."""
        return self.radius - self.diameter / 2

    @property
    def rim(self) -> float:
        """From the shoe's centre to its rim, which takes in some of the pipe."""
        return self.groove + 0.3 * self.diameter


def polar(tool: ToolNumbers, radius: float, degrees: float) -> Point:
    """A point about the shoe's centre.

    Args:
        tool: for its centre.
        radius: from there.
        degrees: from +x, counterclockwise.
    """
    angle = math.radians(degrees)
    return radius * ieee.cos(angle), tool.radius + radius * ieee.sin(angle)


def arc(
    tool: ToolNumbers, radius: float, begins: float, ends: float, steps: int = 24
) -> list[Point]:
    """Points of an arc about the shoe's centre.

    Args:
        tool, radius: as for polar.
        begins, ends: degrees.
        steps: one less than the points.
    """
    span = ends - begins
    return [polar(tool, radius, begins + span * n / steps) for n in range(steps + 1)]


def sector(tool: ToolNumbers, hook: float, heel: float) -> ToolShape:
    """The shoe: a sector of a wheel between two directions.

    Args:
        tool: for its rim.
        hook, heel: where it begins and ends, degrees.
    """
    outline = arc(tool, tool.rim, hook, heel) + arc(tool, tool.groove * 0.6, heel, hook)
    return ToolShape("shoe", tuple(outline), closed=True)


def bar(begins: Point, ends: Point, width: float) -> tuple[Point, ...]:
    """The outline of a straight bar.

    Args:
        begins, ends: the middles of its ends.
        width: across.
    """
    length = math.dist(begins, ends) or 1.0
    x, y = (ends[0] - begins[0]) / length, (ends[1] - begins[1]) / length
    aside = (-y * width / 2, x * width / 2)
    return (
        (begins[0] + aside[0], begins[1] + aside[1]),
        (ends[0] + aside[0], ends[1] + aside[1]),
        (ends[0] - aside[0], ends[1] - aside[1]),
        (begins[0] - aside[0], begins[1] - aside[1]),
    )


def disc(
    role: ShapeRole, tool: ToolNumbers, radius: float, middle: Point | None = None, steps: int = 24
) -> ToolShape:
    """A wheel or a roller, seen from its side.

    Args:
        role: what it is.
        tool: for the shoe's centre, which it is about where no other middle is said.
        radius: of it.
        middle: of it.
        steps: the points round it.
    """
    x, y = middle or (0.0, tool.radius)
    round_it = arc(tool, radius, 0, 360, steps)
    points = tuple((x + at[0], y + at[1] - tool.radius) for at in round_it)
    return ToolShape(role, points, closed=True)


def handle(tool: ToolNumbers, width: float) -> list[ToolShape]:
    """A handle out of the shoe's hub, and the socket that it is in.

    Args:
        tool: for its reach.
        width: of the socket; the handle is a little thinner.
    """
    near = polar(tool, tool.groove * 0.3, HANDLE_LEANS + 180)
    far, socket = (polar(tool, out, HANDLE_LEANS) for out in (tool.handle, tool.groove * 0.75))
    return [
        ToolShape("handle", bar(near, far, width * 0.75), closed=True),
        ToolShape("shoe", bar(near, socket, width), closed=True),
    ]


def hook(tool: ToolNumbers) -> ToolShape:
    """The hook, round the pipe ahead of the arc."""
    size = tool.diameter
    across = (
        (0.15 * size, 0.95 * size),
        (2.1 * size, 0.95 * size),
        (2.1 * size, -0.95 * size),
        (1.3 * size, -0.95 * size),
    )
    return ToolShape("hook", across)


def degree_lines(tool: ToolNumbers, degrees: Sequence[float]) -> list[ToolShape]:
    """Lines on the shoe that are read against the pipe, with the figures of some.

    Args:
        tool: whose they are.
        degrees: of bend.
    """
    lines = []
    for angle in degrees:
        inner, outer = (polar(tool, tool.groove * share, -90 - angle) for share in (0.66, 0.79))
        lines.append(ToolShape("degree", (inner, outer)))
        if angle in (30, 45, 60, 90):
            place = polar(tool, tool.groove * 0.89, -90 - angle)
            lines.append(ToolShape("degree", (place,), text=f"{angle:g}"))
    return lines


def mark_on_shoe(tool: ToolNumbers, behind_front: float) -> tuple[Point, Point]:
    """A mark on the shoe, from the pipe's far skin into the shoe: beside the straight, or round the
    arc where it lies behind its beginning.

    Args:
        tool: whose it is.
        behind_front: its distance from the front mark toward the heel.
    """
    ahead = tool.arc_behind_front - behind_front
    low, high = -tool.diameter * 0.75, tool.diameter * 1.3
    if ahead >= 0:
        return (ahead, low), (ahead, high)
    turned = -90 + math.degrees(ahead / tool.radius)
    return polar(tool, tool.radius - low, turned), polar(tool, tool.radius - high, turned)
