"""The unbent pipe to scale, with its marks: on a sheet, and alone."""

from __future__ import annotations

from exports.drawing import BAND, INK, PIPE, SOFT, Drawing, reading_width
from exports.layout import spread
from exports.page import MARGIN, PAPERS
from yarrow import WrittenPlan


def compose_stick(plan: WrittenPlan, name: str) -> Drawing:
    """The unbent pipe alone, as wide as a sheet; with no marks where the run can't be made.

    Args:
        name: of what it is a drawing of.
    """
    drawing = Drawing(PAPERS["a4"][0], 42.0, f"{name}: the pipe with its marks")
    if plan.cut_length > 0:
        stick(drawing, plan, 4.0)
        cut = plan.cut_length_text if plan.can_be_made else "can't be made as written"
        drawing.text(drawing.width - MARGIN, 39, f"cut {cut}", 3.2, anchor="end")
    return drawing


def stick(drawing: Drawing, plan: WrittenPlan, top: float) -> float:
    """The unbent pipe to scale, with marks, arcs and hooks; readings spread, none collide.

    Args:
        top: millimetres from the page's top.

    Returns:
        Where it ends, likewise.
    """
    left, right = MARGIN, drawing.width - MARGIN
    scale = (right - left) / plan.cut_length
    label_y, pipe_y, thick = top + 4, top + 14.5, 4.0
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


def _ruler(drawing: Drawing, plan: WrittenPlan, left: float, scale: float, y: float) -> None:
    step, per_label, sign = (12.0, 1, "'") if plan.units == "in" else (100.0, 5, "")
    count = int(plan.cut_length / step) + 1
    for number in range(count):
        x = left + number * step * scale
        drawing.line((x, y), (x, y + 1.6), stroke=SOFT, width=0.15)
        if number % per_label == 0 and count < 60:
            text = f"{number}{sign}" if plan.units == "in" else f"{number * step:g}"
            drawing.text(x, y + 4.4, text, 2.5, anchor="middle", colour=SOFT)
