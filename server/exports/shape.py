"""The run as it will hang, flat, with the site's own numbers and what was met."""

from __future__ import annotations

import math
from collections.abc import Callable

from exports.drawing import BAND, FAINT, INK, PIPE, SOFT, Anchor, Drawing, Point, reading_width
from exports.layout import Room, View, centreline, fitted, views
from yarrow import SiteObject, Vector, WrittenPlan, along


def draw_shape(drawing: Drawing, plan: WrittenPlan, within: Room) -> None:
    """The run as it will hang, in each view that shows something: stacked, or side by side where
    that shows it larger."""
    shown = views(plan)
    left, top, right, bottom = within
    count = len(shown)
    stacked = [
        (left, top + (bottom - top) * n / count, right, top + (bottom - top) * (n + 1) / count)
        for n in range(count)
    ]
    beside = [
        (left + (right - left) * n / count, top, left + (right - left) * (n + 1) / count, bottom)
        for n in range(count)
    ]

    def smallest(rooms: list[Room]) -> float:
        return min(
            fitted(_content(plan, view), _room_for_run(plan, view, room))[1]
            for (_, view), room in zip(shown, rooms, strict=True)
        )

    rooms = max(stacked, beside, key=smallest)
    for (title, view), room in zip(shown, rooms, strict=True):
        _draw_view(drawing, plan, view, title, room)


_VIEW_PADDING = (12.0, 11.0, 18.0, 5.0)
_DIMENSION_ROW = 4.4
_THINNEST = 0.3


def _content(plan: WrittenPlan, view: View) -> list[Point]:
    """What a view has to show, in the plan's unit."""
    ends = (end for dimension in plan.site for end in (dimension.start, dimension.end))
    return [view(point) for point in (*plan.path, *ends)]


def _room_for_run(plan: WrittenPlan, view: View, room: Room) -> Room:
    """What of a room is left for the run itself, beside dimensions and labels."""
    level = sum(
        abs(view(d.end)[0] - view(d.start)[0]) > abs(view(d.end)[1] - view(d.start)[1])
        for d in plan.site
    )
    left, top, right, bottom = (
        edge + pad * way for edge, pad, way in zip(room, _VIEW_PADDING, (1, 1, -1, -1), strict=True)
    )
    bottom -= level * _DIMENSION_ROW
    return left, top, max(right, left + 1), max(bottom, top + 1)


def _draw_view(drawing: Drawing, plan: WrittenPlan, view: View, title: str, room: Room) -> None:
    drawing.text(room[0], room[1] + 3, title, 2.9, colour=SOFT)
    content = _content(plan, view)
    placed, scale = fitted(content, _room_for_run(plan, view, room))
    for thing in plan.things:
        _thing(drawing, thing, lambda point: placed(view(point)))
    thick = max(plan.conduit.diameter * scale, 1.3)
    pieces = centreline(plan.path, plan.arcs)
    for _, piece in pieces:
        flat = [placed(view(point)) for point in piece]
        drawing.line(*flat, width=thick + 0.5, stroke=INK)
    for bend, piece in pieces:
        flat = [placed(view(point)) for point in piece]
        drawing.line(*flat, width=thick, stroke=PIPE if bend is None else BAND)
    floor = placed((0.0, max(y for _, y in content)))[1] + 5
    row, beside = 0, 0
    for dimension in plan.site:
        begin, end = placed(view(dimension.start)), placed(view(dimension.end))
        if abs(end[0] - begin[0]) > max(abs(end[1] - begin[1]), 4):
            y = floor + row * _DIMENSION_ROW
            row += 1
            _dimension(drawing, (begin[0], y), (end[0], y), str(dimension.text))
        elif abs(end[1] - begin[1]) > _SHORTEST_UPRIGHT:
            x = max(begin[0], end[0]) + 2
            if dimension.field == "at":
                x += 4 + beside * _BESIDE
                beside += 1
            _dimension(drawing, (x, begin[1]), (x, end[1]), str(dimension.text))


_SHORTEST_UPRIGHT = 2.5
_BESIDE = 9.0


def _thing(drawing: Drawing, thing: SiteObject, place: Callable[[Vector], Point]) -> None:
    """A ledge, a box or a coupling, drawn by a projection onto the sheet."""
    if thing.kind in ("ledge", "round"):
        near = thing.at
        far = along(near, thing.ahead, thing.along)
        corners = (near, far, along(far, thing.toward, -thing.height))
        flat = [place(corner) for corner in (*corners, along(near, thing.toward, -thing.height))]
        if abs(flat[0][1] - flat[3][1]) < _THINNEST and abs(flat[0][0] - flat[3][0]) < _THINNEST:
            return  # seen edge on
        outline = flat if thing.kind == "ledge" else _ellipse(flat)
        drawing.shape(*outline, fill="#f6f7f8", stroke=FAINT)
        _ledge_name(drawing, thing, flat, place)
        return
    x, y = place(thing.at)
    if thing.kind == "hole":
        _hole(drawing, thing, place)
        return
    ahead = place(along(thing.at, thing.ahead, 1.0))
    dx, dy = (ahead[0] - x), (ahead[1] - y)
    reach = place(along(thing.at, thing.ahead, thing.along))
    beside = place(along(thing.at, thing.toward, thing.along))
    smallest = 4.0 if thing.kind == "box" else 3.0
    size = max(math.dist((x, y), reach), math.dist((x, y), beside), smallest)
    way = (1 if dx > 0 else -1, 0) if abs(dx) >= abs(dy) else (0, 1 if dy > 0 else -1)
    centre = (x + way[0] * size / 2, y + way[1] * size / 2)
    drawing.rectangle(centre[0] - size / 2, centre[1] - size / 2, size, size, fill="#ffffff")
    if not thing.label:
        return
    if way[1]:  # the pipe comes from above or below: its name goes beside it
        drawing.text(centre[0] - size / 2 - 1.2, centre[1] + 1, thing.label, 2.7, anchor="end")
    else:
        drawing.text(centre[0], centre[1] - size / 2 - 1.2, thing.label, 2.7, anchor="middle")


def _hole(drawing: Drawing, thing: SiteObject, place: Callable[[Vector], Point]) -> None:
    """A bored plate on both sides of its hole; where it is seen face on, nothing."""
    for side in (-1.0, 1.0):
        near = place(along(thing.at, thing.toward, side * thing.height))
        far = place(along(thing.at, thing.toward, side * thing.height * 4))
        if math.dist(near, far) > _THINNEST:
            drawing.line(near, far, width=0.6, stroke=SOFT)
            if side > 0:
                drawing.text(far[0] + 1.2, far[1], thing.label, 2.7, colour=SOFT)


def _ellipse(corners: list[Point]) -> list[Point]:
    """What is round, within the corners of its square."""
    xs, ys = [x for x, _ in corners], [y for _, y in corners]
    centre = ((min(xs) + max(xs)) / 2, (min(ys) + max(ys)) / 2)
    across, up = (max(xs) - min(xs)) / 2, (max(ys) - min(ys)) / 2
    turns = [math.tau * step / _ROUND_POINTS for step in range(_ROUND_POINTS)]
    return [(centre[0] + across * math.cos(t), centre[1] + up * math.sin(t)) for t in turns]


_ROUND_POINTS = 24


def _ledge_name(
    drawing: Drawing, thing: SiteObject, flat: list[Point], place: Callable[[Vector], Point]
) -> None:
    """The name of a ledge, on the side of it that the pipe is not on."""
    xs, ys = [x for x, _ in flat], [y for _, y in flat]
    pipe = place(along(thing.at, thing.toward, 1.0))
    middle = (min(xs) + max(xs)) / 2
    if abs(pipe[0] - flat[0][0]) > abs(pipe[1] - flat[0][1]):
        beside = max(xs) + 1.2 if pipe[0] < flat[0][0] else min(xs) - 1.2
        anchor: Anchor = "start" if pipe[0] < flat[0][0] else "end"
        y = (min(ys) + max(ys)) / 2
        drawing.text(beside, y, thing.label, 2.7, anchor=anchor, colour=SOFT)
    else:
        y = max(ys) + 3.2 if pipe[1] < flat[0][1] else min(ys) - 1.2
        drawing.text(middle, y, thing.label, 2.7, anchor="middle", colour=SOFT)


def _dimension(drawing: Drawing, begin: Point, end: Point, text: str) -> None:
    drawing.line(begin, end, width=0.12, stroke=SOFT)
    upright = abs(end[0] - begin[0]) < 1e-6
    for x, y in (begin, end):
        tick = ((x - 1, y), (x + 1, y)) if upright else ((x, y - 1), (x, y + 1))
        drawing.line(*tick, width=0.12, stroke=SOFT)
    middle = ((begin[0] + end[0]) / 2, (begin[1] + end[1]) / 2)
    width = reading_width(text, 3.2) + 1.4
    if upright:
        drawing.reading(middle[0] + 1.2, middle[1] + 1.1, text, 3.2)
        return
    drawing.rectangle(
        middle[0] - width / 2, middle[1] - 1.9, width, 3.8, fill="#ffffff", stroke="#ffffff"
    )
    drawing.reading(middle[0], middle[1] + 1.1, text, 3.2, anchor="middle")
