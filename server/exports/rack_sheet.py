"""The sheet of a rack: one page for all of its pipes, together and each with its marks."""

from __future__ import annotations

from exports.drawing import FAINT, INK, PIPE, SOFT, Drawing, Point, reading_width, text_width
from exports.layout import ABOVE, WALL, Room, View, centreline, fitted, from_the_front, views
from exports.page import (
    ABOVE_FOOT,
    MARGIN,
    Heading,
    draw_findings,
    draw_foot,
    draw_heading,
    findings_height,
)
from yarrow import Mark, RackPipe, RackPlan, Side, Wording, WrittenPlan, degrees

_CORNERS = {"same": "on one shoe", "concentric": "about one centre"}
_COLUMNS = (0.0, 9.0, 44.0, 58.0)
"""Where pipe, conduit, distance and marks begin; cut and air stand at the right."""

_AIR, _CUT = 0.0, 22.0
_HOW = (
    "Mark each pipe from its start end; the figure behind a mark is how much further along it is "
    "than on the pipe before. Hooks, springback and checks as on the run's own sheet. When a pipe "
    "came out otherwise, say so in Yarrow and lay the next one beside it."
)


def compose_rack_sheet(
    plan: WrittenPlan, rack: RackPlan, heading: Heading, paper: tuple[float, float]
) -> Drawing:
    """The whole sheet: heading, the pipes drawn together, a row of marks for each, findings, foot.

    Args:
        plan: of the run itself, which the rack is a copy of.
        paper: its width and height in millimetres.
    """
    width, height = paper
    drawing = Drawing(width, height, f"{heading.run}, rack, {heading.job}")
    spaced = rack.gaps[0].centres_text if rack.gaps else ""
    facts = (
        f"{plan.bender.name} · {spaced} centre to centre, to the {rack.side} · "
        f"{_CORNERS[rack.corners]}"
    )
    made = str(len(rack.pipes)) if rack.can_be_made else ""
    y = draw_heading(drawing, heading, facts, ("pipes", made))
    foot = height - MARGIN - ABOVE_FOOT
    findings_top = foot - findings_height(rack.findings, width, heading.wording)
    rows_top = findings_top - _rows_height(rack, width - 2 * MARGIN, heading.wording) - 16
    _together(drawing, rack, plan, (MARGIN, y + 4, width - MARGIN, max(rows_top - 4, y + 40)))
    y = _rows(drawing, rack, max(rows_top, y + 44), heading.wording)
    y = drawing.paragraph(MARGIN, y + 5, width - 2 * MARGIN, _HOW, 2.7, colour=SOFT)
    draw_findings(drawing, rack.findings, max(y, findings_top) + 2, foot, heading.wording)
    draw_foot(drawing, foot + 4)
    return drawing


def _together(drawing: Drawing, rack: RackPlan, plan: WrittenPlan, room: Room) -> None:
    """Every pipe in the first view that shows something, its number at its start."""
    title, view = _rack_view(plan, rack.side)
    drawing.text(room[0], room[1] + 3, title, 2.9, colour=SOFT)
    lines = [(pipe, _line(pipe, view)) for pipe in rack.pipes]
    points = [point for _, line in lines for point in line]
    if not points:
        return
    left, top, right, bottom = room
    place, scale = fitted(points, (left + 8, top + 8, right - 8, bottom - 4))
    for pipe, line in lines:
        flat = [place(point) for point in line]
        thick = max(pipe.conduit.diameter * scale, 0.7)
        drawing.line(*flat, width=thick + 0.4, stroke=INK)
        drawing.line(*flat, width=thick, stroke=PIPE)
    last = None
    for pipe, line in lines:
        x, y = place(line[0])
        if last is None or abs(y - last) >= _NUMBER or pipe.pipe == len(lines) - 1:
            drawing.text(x - 1.6, y + 1, str(pipe.pipe + 1), 2.8, bold=True, anchor="end")
            last = y


def _rack_view(plan: WrittenPlan, side: Side) -> tuple[str, View]:
    """The view in which the pipes lie beside each other, and not over each other."""
    title, view = views(plan)[0]
    shows = WALL if side in ("left", "right") else ABOVE
    return (title, view) if view is shows else ("From the front, aslant", from_the_front)


_NUMBER = 3.2
"""Numbers that would come nearer than this are left out: the pipes are in order."""


def _line(pipe: RackPipe, view: View) -> list[Point]:
    pieces = centreline(pipe.built_as or pipe.path, pipe.arcs)
    return [view(point) for _, piece in pieces for point in piece]


def _size(rack: RackPlan) -> float:
    return 3.6 if len(rack.pipes) <= 8 else 2.6


def _rows_height(rack: RackPlan, width: float, wording: Wording) -> float:
    size = _size(rack)
    lines = sum(
        len(_mark_lines(pipe, width - _COLUMNS[3] - 42, size, wording)) for pipe in rack.pipes
    )
    return 8 + lines * size * 1.5 + len(rack.pipes) * size * 0.35


def _rows(drawing: Drawing, rack: RackPlan, top: float, wording: Wording) -> float:
    """A row for each pipe: what it is, how far off, its marks in order, its cut, the air beyond."""
    left, right = MARGIN, drawing.width - MARGIN
    size = _size(rack)
    names = ("pipe", "", "off", "marks")
    for name, column in zip(names, _COLUMNS, strict=True):
        drawing.text(left + column, top, name, 2.7, colour=SOFT)
    drawing.text(right - _CUT, top, "cut", 2.7, anchor="end", colour=SOFT)
    drawing.text(right - _AIR, top, "least air", 2.7, anchor="end", colour=SOFT)
    y = top + 1.6
    gaps = {gap.pipe: gap for gap in rack.gaps}
    for pipe in rack.pipes:
        drawing.line((left, y), (right, y), stroke=FAINT)
        y += size * 1.45
        drawing.text(left, y, str(pipe.pipe + 1), size, bold=True)
        drawing.text(left + _COLUMNS[1], y, pipe.conduit.name, size * 0.8)
        drawing.reading(left + _COLUMNS[2], y, pipe.offset_text, size * 0.8, bold=False)
        if pipe.marks or not pipe.bends:
            drawing.reading(right - _CUT, y, pipe.cut_length_text, size, anchor="end")
        if pipe.pipe in gaps:
            drawing.reading(right, y, gaps[pipe.pipe].air_text, size * 0.8, anchor="end")
        words = _mark_lines(pipe, right - left - _COLUMNS[3] - 42, size, wording)
        for number, line in enumerate(words):
            y += size * 1.5 if number else 0.0
            x = left + _COLUMNS[3]
            for text, bold in line:
                if bold:
                    drawing.reading(x, y, text, size)
                else:
                    drawing.text(x, y, text, size * _BESIDE, colour=SOFT)
                x += _advance(text, size, bold)
        y += size * 0.4
    drawing.line((left, y), (right, y), stroke=FAINT)
    return y


_Words = list[tuple[str, bool]]


def _mark_lines(pipe: RackPipe, width: float, size: float, wording: Wording) -> list[_Words]:
    """A pipe's marks in lines of a width, each mark with how it moved; a wide bend as a whole."""
    if not pipe.marks:
        return [[("straight" if not pipe.bends else "can't be made as it lies", False)]]
    if pipe.marking == "as-you-go" and not pipe.shots:
        found = (mark for mark in pipe.finding_marks if mark.bend is not None)
        entries: list[_Words] = [
            [(str(mark.at_mark_text), True), (wording.text(mark.where), False)] for mark in found
        ]
    else:
        entries = [entry for at, mark in enumerate(pipe.marks) for entry in _entry(pipe, at, mark)]
    lines: list[_Words] = [[]]
    used = 0.0
    for words in entries:
        wide = sum(_advance(text, size, bold) for text, bold in words)
        if lines[-1] and used + wide > width:
            lines.append([])
            used = 0.0
        lines[-1] += words
        used += wide
    return lines


def _advance(text: str, size: float, bold: bool) -> float:
    """How far a mark, or what is told of it, pushes what comes next along."""
    if bold:
        return reading_width(text, size) + size * 0.5
    return text_width(text, size * _BESIDE) + size * 1.4


_BESIDE = 0.75
"""How large what is told of a mark is set, against the mark."""


def _entry(pipe: RackPipe, at: int, mark: Mark) -> list[_Words]:
    for shots in pipe.shots:
        if shots.bend <= mark.bend < shots.bend + shots.count:
            if mark.bend != shots.bend:
                return []
            text = (
                f"then every {shots.apart_text}, {shots.count} × {degrees(shots.degrees)}, "
                f"radius {shots.radius_text}"
            )
            return [[(str(mark.text), True), (text, False)]]
    moved = str(pipe.moved[at]) if pipe.moved else ""
    return [[(str(mark.text), True), *([(moved, False)] if moved not in ("", "0") else [])]]
