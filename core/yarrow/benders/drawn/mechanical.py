"""A mechanical bender with shoes: a half wheel, a follow bar under the pipe, and a long lever."""

from __future__ import annotations

from yarrow.benders.drawn.shapes import (
    ToolNumbers,
    ToolShape,
    bar,
    degree_lines,
    disc,
    handle,
    hook,
    polar,
    sector,
)


def draw(tool: ToolNumbers) -> list[ToolShape]:
    """The lever behind the shoe, the bar that the pipe slides on, its pin and its roller.

    Args:
        tool: its numbers.
    """
    under = -tool.diameter * 0.95
    follow = bar((-2.4 * tool.radius, under), (-0.15 * tool.radius, under), tool.diameter * 0.55)
    roller = (-1.9 * tool.radius, under - 0.85 * tool.diameter)
    return [
        *handle(tool, 0.2 * tool.radius),
        sector(tool, -70, -250),
        disc("web", tool, tool.groove * 0.6),
        disc("frame", tool, tool.groove * 0.14),
        ToolShape("guide", follow, closed=True),
        disc("guide", tool, 0.55 * tool.diameter, roller),
        *degree_lines(tool, (0, 15, 30, 45, 60, 90)),
        hook(tool),
        ToolShape("web", (polar(tool, tool.groove * 0.14, 0), polar(tool, tool.groove * 0.6, 0))),
    ]
