"""A hand bender: a shoe with its degree lines, the heel for a foot, and a long handle."""

from __future__ import annotations

from yarrow.benders.drawn.shapes import (
    HANDLE_LEANS,
    ToolNumbers,
    ToolShape,
    arc,
    degree_lines,
    handle,
    hook,
    polar,
    sector,
)

_HOOK, _HEEL = -83.0, -202.0
_DEGREES = (0, 10, 22.5, 30, 45, 60, 90)


def draw(tool: ToolNumbers) -> list[ToolShape]:
    """From the handle in front of which the shoe lies.

    Args:
        tool: its numbers.
    """
    out = tool.rim + (tool.heel or 0.3 * tool.radius)
    foot = (
        polar(tool, tool.rim, _HEEL),
        polar(tool, out, _HEEL - 2),
        polar(tool, out, _HEEL - 10),
        polar(tool, tool.groove * 0.8, _HEEL - 13),
        polar(tool, tool.groove * 0.6, _HEEL),
    )
    web = (
        polar(tool, tool.groove * 0.12, HANDLE_LEANS - 90),
        *arc(tool, tool.groove * 0.62, -98, -164),
        polar(tool, tool.groove * 0.12, HANDLE_LEANS + 90),
    )
    return [
        ToolShape("web", web, closed=True),
        *handle(tool, 0.28 * tool.radius),
        sector(tool, _HOOK, _HEEL),
        ToolShape("shoe", foot, closed=True),
        *degree_lines(tool, _DEGREES),
        hook(tool),
    ]
