"""Bend by bend, in small pictures: the piece on the wall, and below it as it lies in the bender."""

from __future__ import annotations

import math
from collections.abc import Sequence

from exports.drawing import AMBER, FAINT, INK, PIPE, SOFT, Anchor, Drawing, Point
from exports.layout import Room, beside_the_bender, fitted, from_the_front
from yarrow import BendHandling, OrderHandling

_MOST = 14
"""Bends beyond which the pictures would be too small to tell anything."""

_TITLE = 7.0
_FOOT = 4.0
_PICTURE = 20.0
_LEAST_PICTURE = 7.0
LEAST_STRIP = _TITLE + _FOOT + 2 * _LEAST_PICTURE
_WIDEST = 46.0
_FLOOR_WITHIN = 0.5
"""How many heights of the drawing the floor may lie below it and still be drawn."""


def strip_height(order: OrderHandling | None, room: float) -> float:
    """How high the strip is to be, in the room that there is; 0 where it has none.

    Args:
        room: in millimetres.

    Returns:
        In millimetres.
    """
    if order is None or len(order.bends) > _MOST:
        return 0.0
    most = _TITLE + _FOOT + 2 * _PICTURE
    return min(most, room) if room >= LEAST_STRIP else 0.0


def bend_by_bend(drawing: Drawing, order: OrderHandling, room: Room) -> None:
    """The bends of an order in the sequence they are made, from left to right."""
    left, top, right, bottom = room
    title = "Bend by bend: on the wall from the front; below, in the bender, hook to the right"
    drawing.text(left, top + 3, title, 2.9, colour=SOFT)
    width = min((right - left) / len(order.bends), _WIDEST)
    high = (bottom - top - _TITLE - _FOOT) / 2
    upper, lower = top + _TITLE, top + _TITLE + high
    for number, bend in enumerate(order.bends):
        x = left + number * width
        if number:
            drawing.line((x, upper), (x, bottom - 1), stroke=FAINT)
        drawing.text(x + 1, upper + 1.4, f"{bend.bend + 1}", 2.9, bold=True)
        wall = [from_the_front(point) for point in bend.wall]
        _piece(drawing, wall, wall, (x, upper, x + width, lower))
        _in_bender(drawing, bend, (x, lower, x + width, lower + high))
        collision = next(iter(bend.meets), None)
        if collision:
            below = "under the floor" if collision.what == "floor" else f"into the {collision.what}"
            text = (
                f"{collision.by_text} {below}"
                if width > 24
                else f"{collision.by_text} {collision.what}"
            )
            drawing.text(
                x + width / 2, lower + high + 2.6, text, 2.3, anchor="middle", colour=AMBER
            )


def _in_bender(drawing: Drawing, bend: BendHandling, room: Room) -> None:
    """The piece with this bend made and the bender round it, over the floor where that is near."""
    points = [beside_the_bender(point) for point in bend.after]
    shown = [shape for shape in bend.tool if shape.role in _ON_PAPER]
    tool = [(x, -y) for shape in shown for x, y in shape.points]
    lowest, highest = (far(y for _, y in (*points, *tool)) for far in (max, min))
    floor = -bend.floor
    near = floor < lowest + (lowest - highest) * _FLOOR_WITHIN
    content = [*points, *tool, *([(points[0][0], floor)] if near else [])]
    place, _ = fitted(content, _without_margin(room))
    if near:
        y = place((0.0, floor))[1]
        colour = AMBER if bend.meets else SOFT
        drawing.line((room[0] + 1.5, y), (room[2] - 1.5, y), width=0.15, stroke=colour)
    for shape in shown:
        outline = [place((x, -y)) for x, y in shape.points]
        if shape.closed:
            drawing.shape(*outline, fill=_ON_PAPER[shape.role], stroke=SOFT, width=0.1)
        else:
            drawing.line(*outline, width=0.3, stroke=INK)
    _piece(drawing, points, content, room)


_ON_PAPER = {"frame": FAINT, "guide": FAINT, "shoe": FAINT, "hook": INK}
"""The parts of a tool that are still told apart in so small a picture, and their fill."""


def _piece(drawing: Drawing, points: Sequence[Point], content: Sequence[Point], room: Room) -> None:
    """A bent piece among what fills a room, with both of its ends named."""
    place, _ = fitted(content, _without_margin(room))
    flat = [place(point) for point in points]
    drawing.line(*flat, width=0.9, stroke=INK)
    drawing.line(*flat, width=0.5, stroke=PIPE)
    for name, end, before in (("start", flat[0], flat[1]), ("end", flat[-1], flat[-2])):
        size = math.dist(end, before) or 1.0
        x = end[0] + (end[0] - before[0]) / size * 0.9
        y = end[1] + (end[1] - before[1]) / size * 2.2 + 0.7
        anchor: Anchor = "middle"
        if abs(end[0] - before[0]) > size / 2:
            anchor = "start" if end[0] > before[0] else "end"
        drawing.text(x, y, name, 2.0, anchor=anchor, colour=SOFT)


def _without_margin(room: Room) -> Room:
    left, top, right, bottom = room
    return left + 6.5, top + 2.4, right - 6.0, bottom - 2.4
