"""A ratchet bender: a shoe in a frame, driven by teeth and a lever."""

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

_TEETH = 20


def draw(tool: ToolNumbers) -> list[ToolShape]:
    """The frame behind, the shoe, and the toothed wheel that the lever drives.

    Args:
        tool: its numbers.
    """
    wheel = [
        polar(tool, tool.groove * (0.42 if n % 2 else 0.34), n * 180 / _TEETH)
        for n in range(2 * _TEETH)
    ]
    foot = polar(tool, tool.rim * 1.55, -160)
    return [
        ToolShape("frame", bar(polar(tool, 0, 0), foot, 0.4 * tool.radius), closed=True),
        ToolShape("frame", bar((foot[0] - tool.radius, 0.0), (foot[0] + tool.radius, 0.0), 0.0)),
        *handle(tool, 0.24 * tool.radius),
        sector(tool, -80, -196),
        ToolShape("web", tuple(wheel), closed=True),
        disc("frame", tool, tool.groove * 0.1),
        *degree_lines(tool, (0, 15, 30, 45, 60, 90)),
        hook(tool),
    ]
