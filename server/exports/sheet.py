"""The sheet: one page for one pipe that works without the app."""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import dataclass

from exports.drawing import (
    AMBER,
    BAND,
    BRICK,
    FAINT,
    INK,
    PIPE,
    SOFT,
    Drawing,
    reading_width,
    text_width,
)
from exports.layout import Point, View, centreline, spread, views
from yarrow.geometry.vectors import Vector, along
from yarrow.runs.plan import Plan, Thing
from yarrow.runs.words import degrees

PAPERS = {"a4": (210.0, 297.0), "letter": (215.9, 279.4)}
"""Width and height in millimetres."""

MARGIN = 14.0
_COLOURS = {"error": BRICK, "warning": AMBER, "note": SOFT}
_MOST_STEPS_HEIGHT = 62.0


@dataclass(frozen=True, slots=True)
class Heading:
    """Whose run this is and which version of it."""

    job: str
    run: str
    saved: str


def compose_sheet(plan: Plan, heading: Heading, paper: tuple[float, float]) -> Drawing:
    """The whole sheet, from the top down: heading, stick, marks, shape, steps, findings, foot."""
    width, height = paper
    drawing = Drawing(width, height, f"{heading.run}, {heading.job}")
    y = _heading(drawing, plan, heading)
    if plan.working_marks:
        y = _stick(drawing, plan, y + 6)
    y = _marks(drawing, plan, y + 6)
    y = _comes_out(drawing, plan, y)
    foot = height - MARGIN - 22
    findings_top = foot - _findings_height(plan)
    shape_bottom = max(findings_top - _steps_height(plan), y + 40)
    _shape(drawing, plan, y + 4, shape_bottom - 4)
    y = _steps(drawing, plan, shape_bottom + 3)
    _findings(drawing, plan, max(y, findings_top) + 2, foot)
    _foot(drawing, foot + 4)
    return drawing


def _heading(drawing: Drawing, plan: Plan, heading: Heading) -> float:
    right = drawing.width - MARGIN
    y = MARGIN + 6
    drawing.text(MARGIN, y, _fitted(heading.run, 6.4, right - MARGIN - 62), 6.4, bold=True)
    drawing.text(right, y - 2.6, "cut length", 3, anchor="end", colour=SOFT)
    y += 5.4
    drawing.text(MARGIN, y, heading.job, 3.6, colour=SOFT)
    if plan.can_be_made:
        drawing.reading(right, y, plan.cut_length_text, 7, anchor="end")
    y += 5
    unit = "inches" if plan.units == "in" else "millimetres"
    step = f"to {plan.round_to}" if plan.units == "in" else "whole"
    facts = f"{plan.conduit.name} · {plan.bender.name} · {unit}, {step} · {plan.method} marks"
    drawing.text(MARGIN, y, facts, 3.3)
    drawing.text(right, y, heading.saved, 2.8, anchor="end", colour=SOFT)
    y += 3
    drawing.line((MARGIN, y), (right, y), width=0.3)
    return y


def _fitted(text: str, size: float, width: float) -> str:
    while text_width(text, size, bold=True) > width and len(text) > 1:
        text = text[:-2] + "…"
    return text


def _stick(drawing: Drawing, plan: Plan, top: float) -> float:
    """The unbent pipe to scale, with marks, arcs and hooks; readings spread, none collide."""
    left, right = MARGIN, drawing.width - MARGIN
    scale = (right - left) / plan.cut_length
    label_y, pipe_y, thick = top + 5, top + 17, 4.0
    drawing.rectangle(left, pipe_y, right - left, thick, fill=PIPE)
    for bend in plan.bends:
        begin, end = left + bend.arc_start * scale, left + bend.arc_end * scale
        drawing.rectangle(begin, pipe_y, end - begin, thick, fill=BAND, stroke=BAND)
    drawing.rectangle(left, pipe_y, right - left, thick)
    places = [left + mark.position * scale for mark in plan.working_marks]
    order = sorted(range(len(places)), key=lambda i: places[i])
    widths = [reading_width(plan.working_marks[i].text, 4.2) + 3 for i in order]
    if sum(widths) <= right - left:
        centres = spread([places[i] for i in order], widths, left, right)
        for i, centre in zip(order, centres, strict=True):
            drawing.text(centre, label_y - 4.4, str(i + 1), 2.8, anchor="middle", colour=SOFT)
            drawing.reading(centre, label_y, plan.working_marks[i].text, 4.2, anchor="middle")
            drawing.line(
                (centre, label_y + 1.2),
                (places[i], pipe_y - 5),
                (places[i], pipe_y - 1),
                width=0.15,
            )
    for mark, x in zip(plan.working_marks, places, strict=True):
        drawing.line((x, pipe_y - 1), (x, pipe_y + thick + 1), width=0.45)
        way = 1 if mark.hook == "end" else -1
        tip = (x + 2.2 * way, pipe_y - 2)
        drawing.shape((x, pipe_y - 3), tip, (x, pipe_y - 1), fill=INK, width=0.1)
    _ruler(drawing, plan, left, scale, pipe_y + thick + 2)
    return pipe_y + thick + 8


def _ruler(drawing: Drawing, plan: Plan, left: float, scale: float, y: float) -> None:
    step, per_label, sign = (12.0, 1, "'") if plan.units == "in" else (100.0, 5, "")
    count = int(plan.cut_length / step) + 1
    for number in range(count):
        x = left + number * step * scale
        drawing.line((x, y), (x, y + 1.6), stroke=SOFT, width=0.15)
        if number % per_label == 0 and count < 60:
            told = f"{number}{sign}" if plan.units == "in" else f"{number * step:g}"
            drawing.text(x, y + 4.4, told, 2.5, anchor="middle", colour=SOFT)


_COLUMNS = (0.0, 12.0, 42.0, 84.0, 120.0, 142.0, 164.0)


def _marks(drawing: Drawing, plan: Plan, top: float) -> float:
    """The marks as a table: the figures that are worked from."""
    left, right = MARGIN, drawing.width - MARGIN
    names = ("bend", "mark", "put it on", "hook faces", "bend", "roll", "rounded by")
    for name, x in zip(names, _COLUMNS, strict=True):
        drawing.text(left + x, top, name, 2.7, colour=SOFT)
    y = top + 1.6
    if not plan.working_marks:
        straight = "A straight piece: nothing to mark but the cut."
        unmade = "No marks: this run can't be made as written."
        drawing.text(left, y + 6, straight if plan.can_be_made else unmade, 4, bold=True)
        return y + 8
    size = 4.6 if len(plan.working_marks) <= 10 else 3.4
    for mark in plan.working_marks:
        bend = plan.bends[mark.bend]
        drawing.line((left, y), (right, y), stroke=FAINT)
        y += size * 1.5
        base = y - size * 0.4
        drawing.text(left, base, str(mark.bend + 1), size * 0.8, colour=SOFT)
        drawing.reading(left + _COLUMNS[1], base, mark.text, size)
        drawing.text(left + _COLUMNS[2], base, mark.name, size * 0.72)
        drawing.text(left + _COLUMNS[3], base, f"the {mark.hook} of the pipe", size * 0.72)
        drawing.text(left + _COLUMNS[4], base, degrees(bend.angle), size, bold=True)
        roll = "first" if mark.bend == 0 else degrees(bend.roll)
        drawing.text(left + _COLUMNS[5], base, roll, size * 0.72)
        moved = f"{mark.moved:+.3f}".replace("-", "−")
        drawing.text(left + _COLUMNS[6], base, moved, size * 0.72, colour=SOFT)
    drawing.line((left, y), (right, y), stroke=FAINT)
    return y


_OUT_COLUMNS = 4
_FIELDS = {"at": "place"}


def _comes_out(drawing: Drawing, plan: Plan, top: float) -> float:
    """Where the pipe really ends up when the rounded marks are followed, number by number."""
    if not plan.dimensions:
        return top
    left, width = MARGIN, (drawing.width - 2 * MARGIN) / _OUT_COLUMNS
    y = top + 4.4
    drawing.text(left, y, "what these marks come out as, by line of the walk", 2.7, colour=SOFT)
    for number, dimension in enumerate(plan.dimensions):
        column, row = number % _OUT_COLUMNS, number // _OUT_COLUMNS
        x, base = left + column * width, y + 4.2 + row * 4
        name = f"{dimension.feature + 1} {_FIELDS.get(dimension.field, dimension.field)}"
        drawing.text(x, base, name, 2.7, colour=SOFT)
        told = "true" if dimension.off_text == "0" else dimension.off_text
        drawing.reading(x + width - 13, base, dimension.asked_text, 3, anchor="end")
        true = dimension.off_text == "0"
        drawing.text(x + width - 11.6, base, told, 2.7, colour=SOFT if true else AMBER)
    return y + 4.2 + ((len(plan.dimensions) - 1) // _OUT_COLUMNS) * 4


def _shape(drawing: Drawing, plan: Plan, top: float, bottom: float) -> None:
    """The run as it will hang, in each view that shows something: stacked, or side by side where
    that shows it larger."""
    shown = views(plan)
    left, right = MARGIN, drawing.width - MARGIN
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
        return min(_scale(plan, view, room) for (_, view), room in zip(shown, rooms, strict=True))

    rooms = max(stacked, beside, key=smallest)
    for (title, view), room in zip(shown, rooms, strict=True):
        _view(drawing, plan, view, title, room)


Room = tuple[float, float, float, float]
"""Left, top, right and bottom, in millimetres."""

_VIEW_PADDING = (12.0, 11.0, 18.0, 5.0)
_DIMENSION_ROW = 4.4
_THINNEST = 0.3


def _content(plan: Plan, view: View) -> tuple[float, float, float, float]:
    """The bounds of what a view shows, in the plan's unit."""
    points = [view(point) for point in plan.path]
    for dimension in plan.site:
        points += [view(dimension.start), view(dimension.end)]
    xs, ys = [x for x, _ in points], [y for _, y in points]
    return min(xs), min(ys), max(xs), max(ys)


def _inner(plan: Plan, view: View, room: Room) -> Room:
    """What of a room is left for the run itself, beside dimensions and labels."""
    level = sum(
        abs(view(d.end)[0] - view(d.start)[0]) > abs(view(d.end)[1] - view(d.start)[1])
        for d in plan.site
    )
    left, top, right, bottom = (
        edge + pad * way for edge, pad, way in zip(room, _VIEW_PADDING, (1, 1, -1, -1), strict=True)
    )
    return left, top, right, bottom - level * _DIMENSION_ROW


def _scale(plan: Plan, view: View, room: Room) -> float:
    least_x, least_y, most_x, most_y = _content(plan, view)
    left, top, right, bottom = _inner(plan, view, room)
    across = max(right - left, 1.0) / max(most_x - least_x, 1e-6)
    return min(across, max(bottom - top, 1.0) / max(most_y - least_y, 1e-6))


def _view(drawing: Drawing, plan: Plan, view: View, title: str, room: Room) -> None:
    drawing.text(room[0], room[1] + 3, title, 2.9, colour=SOFT)
    least_x, least_y, most_x, most_y = _content(plan, view)
    left, top, right, bottom = _inner(plan, view, room)
    scale = _scale(plan, view, room)
    centre = ((left + right) / 2, (top + bottom) / 2)

    def placed(point: Point) -> Point:
        return (
            centre[0] + (point[0] - (least_x + most_x) / 2) * scale,
            centre[1] + (point[1] - (least_y + most_y) / 2) * scale,
        )

    for thing in plan.things:
        _thing(drawing, thing, lambda point: placed(view(point)))
    thick = max(plan.conduit.diameter * scale, 1.3)
    pieces = centreline(plan)
    for _, piece in pieces:
        flat = [placed(view(point)) for point in piece]
        drawing.line(*flat, width=thick + 0.5, stroke=INK)
    for bend, piece in pieces:
        flat = [placed(view(point)) for point in piece]
        drawing.line(*flat, width=thick, stroke=PIPE if bend is None else BAND)
    floor = placed((0.0, most_y))[1] + 5
    row, beside = 0, 0
    for dimension in plan.site:
        begin, end = placed(view(dimension.start)), placed(view(dimension.end))
        if abs(end[0] - begin[0]) > max(abs(end[1] - begin[1]), 4):
            y = floor + row * _DIMENSION_ROW
            row += 1
            _dimension(drawing, (begin[0], y), (end[0], y), dimension.text)
        elif abs(end[1] - begin[1]) > _SHORTEST_UPRIGHT:
            x = max(begin[0], end[0]) + 2
            if dimension.field == "at":
                x += 4 + beside * _BESIDE
                beside += 1
            _dimension(drawing, (x, begin[1]), (x, end[1]), dimension.text)


_SHORTEST_UPRIGHT = 2.5
_BESIDE = 9.0


def _thing(drawing: Drawing, thing: Thing, place: Callable[[Vector], Point]) -> None:
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


def _hole(drawing: Drawing, thing: Thing, place: Callable[[Vector], Point]) -> None:
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
    drawing: Drawing, thing: Thing, flat: list[Point], place: Callable[[Vector], Point]
) -> None:
    """The name of a ledge, on the side of it that the pipe is not on."""
    xs, ys = [x for x, _ in flat], [y for _, y in flat]
    pipe = place(along(thing.at, thing.toward, 1.0))
    middle = (min(xs) + max(xs)) / 2
    if abs(pipe[0] - flat[0][0]) > abs(pipe[1] - flat[0][1]):
        beside = max(xs) + 1.2 if pipe[0] < flat[0][0] else min(xs) - 1.2
        anchor = "start" if pipe[0] < flat[0][0] else "end"
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


def _steps_height(plan: Plan) -> float:
    return min(len(plan.steps) * 8.4 + 4, _MOST_STEPS_HEIGHT)


def _steps(drawing: Drawing, plan: Plan, y: float) -> float:
    left, width = MARGIN, drawing.width - 2 * MARGIN - 10
    size = 2.9 if len(plan.steps) <= 8 else 2.2
    for step in plan.steps:
        drawing.rectangle(left, y - size * 0.85, size * 0.95, size * 0.95, line=0.15)
        drawing.text(left + size * 1.6, y, f"{step.number}", size, bold=True)
        y = drawing.paragraph(left + size * 3.2, y, width, f"{step.do} {step.check}", size)
        y += size * 0.3
    return y


def _findings_height(plan: Plan) -> float:
    return min(len(plan.findings) * 7.6, 30)


def _findings(drawing: Drawing, plan: Plan, y: float, bottom: float) -> None:
    for number, finding in enumerate(plan.findings):
        if y > bottom - 3 and number < len(plan.findings) - 1:
            left = len(plan.findings) - number
            drawing.text(MARGIN + 2, y, f"and {left} more: see the run in Yarrow", 2.7)
            return
        drawing.line((MARGIN, y - 2.6), (MARGIN, y + 1), width=0.7, stroke=_COLOURS[finding.level])
        where = f"Line {finding.feature + 1}: " if finding.feature is not None else ""
        text = f"{where}{finding.text}" + (f" ({finding.source})" if finding.source else "")
        y = drawing.paragraph(MARGIN + 2, y, drawing.width - 2 * MARGIN - 4, text, 2.7) + 0.6


def _foot(drawing: Drawing, y: float) -> None:
    right = drawing.width - MARGIN
    drawing.line((MARGIN, y - 3), (right, y - 3), width=0.3)
    cautions = (
        "Gloves and eye protection when cutting and bending. Isolate and prove dead before a box "
        "is opened. These figures are a plan, for a licensed electrician to check; local code and "
        "the inspector decide."
    )
    end = drawing.paragraph(MARGIN, y + 1, right - MARGIN, cautions, 2.6, colour=SOFT)
    for name, x in (("Bent by", 0.0), ("Checked by", 62.0), ("Date", 124.0)):
        drawing.text(MARGIN + x, end + 7, name, 2.8, colour=SOFT)
        drawing.line((MARGIN + x + 17, end + 7.4), (MARGIN + x + 56, end + 7.4), width=0.15)
