"""A bench machine: a former, a guide that holds the pipe's tail, and an arm with a roller."""

from __future__ import annotations

from yarrow.benders.drawn.shapes import HANDLE_LEANS, ToolNumbers, ToolShape, arc, bar, disc, polar


def draw(tool: ToolNumbers) -> list[ToolShape]:
    """The arm behind the former, the stop round the pipe, and the guide under its tail.

    Args:
        tool: its numbers.
    """
    size, under = tool.diameter, -tool.diameter * 0.9
    guide = bar((-3.2 * tool.radius, under), (-0.3 * tool.radius, under), 0.7 * size)
    stop = (
        (0.4 * size, 0.9 * size),
        (1.2 * size, 0.9 * size),
        (1.2 * size, -0.9 * size),
        (0.4 * size, -0.9 * size),
    )
    reach = tool.handle or 6 * tool.radius
    arm = bar(polar(tool, 0, 0), polar(tool, reach, HANDLE_LEANS + 90), 0.22 * tool.radius)
    return [
        ToolShape("handle", arm, closed=True),
        ToolShape("shoe", (*arc(tool, tool.rim, -85, -275, 36), polar(tool, 0, 0)), closed=True),
        disc("web", tool, tool.groove * 0.3),
        ToolShape("guide", guide, closed=True),
        disc("guide", tool, 0.8 * size, (-0.2 * tool.radius, -1.35 * size)),
        ToolShape("hook", stop, closed=True),
    ]
