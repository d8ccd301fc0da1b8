"""A mechanical bender with shoes: a half wheel, a follow bar under the pipe, and a long lever."""

from __future__ import annotations

from yarrow.benders.drawn.shapes import (
    HANDLE_LEANS,
    ToolNumbers,
    ToolShape,
    arc,
    bar,
    degree_lines,
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
    roller = [
        (x - 1.9 * tool.radius, y - tool.radius + under - 0.85 * tool.diameter)
        for x, y in arc(tool, 0.55 * tool.diameter, 0, 360)
    ]
    return [
        *handle(tool, HANDLE_LEANS, 0.2 * tool.radius),
        sector(tool, -70, -250),
        ToolShape("web", tuple(arc(tool, tool.groove * 0.6, 0, 360)), closed=True),
        ToolShape("frame", tuple(arc(tool, tool.groove * 0.14, 0, 360)), closed=True),
        ToolShape("guide", follow, closed=True),
        ToolShape("guide", tuple(roller), closed=True),
        *degree_lines(tool, (0, 15, 30, 45, 60, 90)),
        hook(tool),
        ToolShape("web", (polar(tool, tool.groove * 0.14, 0), polar(tool, tool.groove * 0.6, 0))),
    ]
