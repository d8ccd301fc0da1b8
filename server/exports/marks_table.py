"""The marks as a table on a sheet, and what they come out as."""

from __future__ import annotations

from exports.drawing import AMBER, FAINT, SOFT, Drawing
from exports.layout import Room
from yarrow.runs.plan import Plan
from yarrow.runs.words import degrees

_WIDE = (
    ("bend", 0.0),
    ("mark", 12.0),
    ("put it on", 42.0),
    ("hook faces", 84.0),
    ("bend", 120.0),
    ("roll", 142.0),
    ("rounded by", 164.0),
)
_NARROW = (
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


def marks_table(drawing: Drawing, plan: Plan, room: Room, *, narrow: bool) -> float:
    """The figures that are worked from, a row a bend. Returns where it ends.

    Args: narrow, beside the shape: then how much a mark was rounded by is left out.
    """
    left, top, right, _ = room
    columns = _NARROW if narrow else _WIDE
    marks = plan.working_marks
    if not marks:
        straight = "A straight piece: nothing to mark but the cut."
        unmade = "No marks: this run can't be made as written."
        drawing.text(left, top + 6, straight if plan.can_be_made else unmade, 4, bold=True)
        return top + 8
    for name, x in columns:
        drawing.text(left + x, top, name, 2.7, colour=SOFT)
    y = top + 1.6
    size = next((size for most, size in _SIZES if len(marks) <= most), _SMALLEST)
    small = size * 0.72
    places = [left + x for _, x in columns]
    for mark in marks:
        bend = plan.bends[mark.bend]
        drawing.line((left, y), (right, y), stroke=FAINT)
        y += size * 1.5
        base = y - size * 0.4
        drawing.text(places[0], base, str(mark.bend + 1), size * 0.8, colour=SOFT)
        drawing.reading(places[1], base, mark.text, size)
        drawing.text(places[2], base, mark.name, small)
        faces = f"to {mark.hook}" if narrow else f"the {mark.hook} of the pipe"
        drawing.text(places[3], base, faces, small)
        drawing.text(places[4], base, degrees(bend.angle), size, bold=True)
        roll = "first" if mark.bend == 0 else degrees(bend.roll)
        drawing.text(places[5], base, roll.replace("-", "−"), small)
        if not narrow:
            moved = f"{mark.moved:+.3f}".replace("-", "−")
            drawing.text(places[6], base, moved, small, colour=SOFT)
    drawing.line((left, y), (right, y), stroke=FAINT)
    return y


_FIELDS = {"at": "place"}
_ROW = 4.0


def comes_out(drawing: Drawing, plan: Plan, room: Room, *, columns: int) -> float:
    """Where the pipe really ends up when the rounded marks are followed, number by number. Returns
    where it ends."""
    left, top, right, bottom = room
    if not plan.dimensions:
        return top
    width = (right - left) / columns
    y = top + 4.4
    drawing.text(left, y, "what these marks come out as, by line of the walk", 2.7, colour=SOFT)
    most = max(int((bottom - y) / _ROW), 1) * columns
    for number, dimension in enumerate(plan.dimensions[:most]):
        column, row = number % columns, number // columns
        x, base = left + column * width, y + 4.2 + row * _ROW
        name = f"{dimension.feature + 1} {_FIELDS.get(dimension.field, dimension.field)}"
        drawing.text(x, base, name, 2.7, colour=SOFT)
        true = dimension.off_text == "0"
        told = "true" if true else dimension.off_text
        drawing.reading(x + width - 13, base, dimension.asked_text, 3, anchor="end")
        drawing.text(x + width - 11.6, base, told, 2.7, colour=SOFT if true else AMBER)
    return y + 4.2 + ((min(len(plan.dimensions), most) - 1) // columns) * _ROW
