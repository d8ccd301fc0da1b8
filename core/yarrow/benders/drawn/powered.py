"""A powered bender: a wheel with a scale all round, rollers under the pipe, on its base."""

from __future__ import annotations

from yarrow.benders.drawn.shapes import (
    ToolNumbers,
    ToolShape,
    bar,
    degree_lines,
    disc,
    hook,
    polar,
)


def draw(tool: ToolNumbers) -> list[ToolShape]:
    """The base behind the wheel, its scale, the two rollers that hold the pipe up to it.

    Args:
        tool: its numbers.
    """
    size, under = tool.diameter, -tool.diameter * 1.25
    rollers = [
        disc("guide", tool, 0.75 * size, (-away * tool.radius, under)) for away in (0.9, 1.9)
    ]
    base = bar(
        (-2.3 * tool.radius, 0.55 * tool.radius),
        (0.6 * tool.radius, 0.55 * tool.radius),
        tool.radius,
    )
    scale = [
        ToolShape(
            "degree", (polar(tool, tool.groove * 0.9, degrees), polar(tool, tool.groove, degrees))
        )
        for degrees in range(0, 360, 15)
    ]
    return [
        ToolShape("guide", base, closed=True),
        disc("shoe", tool, tool.rim, steps=48),
        disc("web", tool, tool.groove * 0.6, steps=48),
        disc("frame", tool, tool.groove * 0.16),
        *scale,
        *degree_lines(tool, (30, 45, 60, 90)),
        *rollers,
        hook(tool),
    ]
