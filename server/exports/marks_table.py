"""The marks as a table on a sheet, and what they come out as."""

from __future__ import annotations

from exports.drawing import AMBER, FAINT, SOFT, Drawing
from exports.layout import Room
from yarrow import Wording, WrittenPlan, degrees

_COLUMNS = (
    ("", 0.0),
    ("mark", 6.0),
    ("put it on", 29.0),
    ("hook", 63.0),
    ("bend", 77.0),
    ("roll", 91.0),
)
_SIZES = ((5, 4.6), (8, 4.0), (14, 3.4), (24, 2.8))
"""How large marks are set, for up to so many of them."""

_SMALLEST = 2.2


def marks_table(drawing: Drawing, plan: WrittenPlan, room: Room, wording: Wording) -> float:
    """The figures that are worked from, a row a bend: along the straight pipe, each with what a
    tape reads on the bent piece; or, marked as you go, as they are found.

    Returns:
        Millimetres from the page's top.
    """
    left, top, right, _ = room
    marks = plan.working_marks
    if not marks:
        straight = "A straight piece: nothing to mark but the cut."
        unmade = "No marks: this run can't be made as written."
        drawing.text(left, top + 6, straight if plan.can_be_made else unmade, 4, bold=True)
        return top + 8
    for name, x in _COLUMNS:
        drawing.text(left + x, top, name, 2.7, colour=SOFT)
    y = top + 1.6
    size = next((size for most, size in _SIZES if len(marks) <= most), _SMALLEST)
    small = size * 0.72
    places = [left + x for _, x in _COLUMNS]
    as_you_go = plan.marking == "as-you-go"
    found = {row.bend: row for row in plan.finding_marks}
    if as_you_go:
        making = list(found)
        marks = tuple(sorted(marks, key=lambda mark: making.index(mark.bend)))
    for mark in marks:
        bend = plan.bends[mark.bend]
        row = found.get(mark.bend)
        drawing.line((left, y), (right, y), stroke=FAINT)
        y += size * 1.5
        base = y - size * 0.4
        drawing.text(places[0], base, str(mark.bend + 1), size * 0.8, colour=SOFT)
        drawing.reading(places[1], base, row.at_mark_text if row and as_you_go else mark.text, size)
        drawing.text(places[2], base, mark.name, small)
        drawing.text(places[3], base, f"to {mark.hook}", small)
        drawing.text(places[4], base, str(plan.working[mark.bend].angle_text), size, bold=True)
        roll = "first" if mark.bend == 0 else degrees(bend.roll)
        drawing.text(places[5], base, roll.replace("-", "−"), small)
        if row and (as_you_go or row.parallel_to is not None):
            where = wording.text(row.where)
            told = where if as_you_go else f"bent, it lies {row.at_mark_text} {where}"
            y += small * 1.1
            drawing.text(places[1], y - small * 0.5, told, small * 0.85, colour=SOFT)
    drawing.line((left, y), (right, y), stroke=FAINT)
    return y


_FIELDS = {"at": "place"}
_ROW = 4.0
_WITHIN = 14.0
"""Millimetres that how far a number may come out takes beside it."""


def comes_out(drawing: Drawing, plan: WrittenPlan, room: Room) -> float:
    """Where the pipe really ends up when the rounded marks are followed, number by number: in one
    column, with how far it may come out, or in two where there are many.

    Returns:
        Millimetres from the page's top.
    """
    left, top, right, bottom = room
    if not plan.dimensions:
        return top
    rows = max(int((bottom - top - 3) / _ROW), 3)
    columns = 1 if len(plan.dimensions) <= rows else 2
    drawing.text(left, top, "as marked, it measures, by line", 2.7, colour=SOFT)
    expected = plan.expected if columns == 1 else ()
    if expected:
        drawing.text(right, top, "19 of 20 within", 2.7, colour=SOFT, anchor="end")
    beside = _WITHIN if expected else 0.0
    width = (right - left + 4) / columns
    shown = plan.dimensions[: rows * columns]
    for number, dimension in enumerate(shown):
        column, row = number // rows, number % rows
        x, base = left + column * width, top + 5 + row * _ROW
        name = f"{dimension.feature + 1} {_FIELDS.get(dimension.field, dimension.field)}"
        drawing.text(x, base, name, 2.7, colour=SOFT)
        colour = SOFT if str(dimension.off_text) == "0" else AMBER
        asked = x + width - 14 - beside
        drawing.reading(asked, base, dimension.asked_text, 3, anchor="end")
        drawing.text(asked + 1.4, base, dimension.off_text, 2.7, colour=colour)
        if expected:
            half = expected[number].half_text(plan.marking)
            drawing.text(right, base, f"± {half}", 2.7, colour=SOFT, anchor="end")
    return top + 5 + (min(len(shown), rows) - 1) * _ROW
