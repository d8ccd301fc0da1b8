"""A form for warm plastic: a block with the bend's own curve, and nothing that holds the pipe."""

from __future__ import annotations

from yarrow.benders.drawn.shapes import ToolNumbers, ToolShape, arc


def draw(tool: ToolNumbers) -> list[ToolShape]:
    """The block inside the bend, and the board that it stands on.

    Args:
        tool: its numbers.
    """
    curve = arc(tool, tool.groove, -90, -180)
    block = (*curve, (-tool.groove, tool.radius * 1.6), (0.0, tool.radius * 1.6))
    inner = (*arc(tool, tool.groove * 0.7, -90, -180), (0.0, tool.radius))
    return [
        ToolShape("shoe", block, closed=True),
        ToolShape("web", inner, closed=True),
    ]
