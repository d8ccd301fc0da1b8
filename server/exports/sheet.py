"""The sheet: one page for one pipe that works without the app."""

from __future__ import annotations

from collections.abc import Sequence

from exports.drawing import Drawing, lines_of
from exports.marks_table import comes_out, marks_table
from exports.page import (
    ABOVE_FOOT,
    MARGIN,
    Heading,
    draw_findings,
    draw_foot,
    draw_heading,
    findings_height,
)
from exports.shape import draw_shape
from exports.stick import stick
from exports.strip import LEAST_STRIP, bend_by_bend, strip_height
from exports.wires_sheet import wires_note
from yarrow import OrderHandling, Step, Wording, WrittenPlan, in_turn

_LEAST_SHAPE = 42.0
_GOOD_SHAPE = 58.0
"""Millimetres of height for the shape: what steps are set smaller for, and the pictures."""

_TABLE_SHARE = 0.57
_MARKED = {"flat": "all flat", "as-you-go": "as you go"}

_STEP_SIZES = (2.9, 2.7, 2.5, 2.35, 2.2)
"""How large steps are set: the first at which they fit."""

_MOST_STEPS = 0.27
"""The most of a page's height that steps may take at a size."""


def compose_sheet(
    plan: WrittenPlan, order: OrderHandling | None, heading: Heading, paper: tuple[float, float]
) -> Drawing:
    """The whole sheet, from the top down: heading, stick, marks, shape, bend by bend, steps,
    findings, foot. What is below is measured first; the shape has the room that is left.

    Args:
        order: the one that the marks are for, with its pictures; None where there is none.
        paper: its width and height in millimetres.
    """
    width, height = paper
    left, right = MARGIN, width - MARGIN
    drawing = Drawing(width, height, f"{heading.run}, {heading.job}")
    unit = "inches" if plan.units == "in" else "millimetres"
    step = f"to {plan.round_to}" if plan.units == "in" else "whole"
    marks = f"{plan.method} marks, {_MARKED[plan.marking]}"
    facts = f"{plan.conduit.name} · {plan.bender.name} · {unit}, {step} · {marks}"
    cut = str(plan.cut_length_text) if plan.can_be_made else ""
    y = draw_heading(drawing, heading, facts, ("cut length", cut))
    if plan.working_marks:
        y = stick(drawing, plan, y + 6)
    foot = height - MARGIN - ABOVE_FOOT
    findings = (*plan.findings, *wires_note(plan))
    findings_top = foot - findings_height(findings, width, heading.wording)
    edge = left + (right - left) * _TABLE_SHARE
    below = marks_table(drawing, plan, (left, y + 6, edge, foot), heading.wording)
    lowest = max(below, y + 40)
    y = max(below, comes_out(drawing, plan, (edge + 5, y + 6, right, lowest)))
    steps = [_step_text(step, heading.wording) for step in plan.steps]
    strip = strip_height(order, LEAST_STRIP)
    room = findings_top - y - _LEAST_SHAPE - strip
    size, tall = _steps_size(steps, width, min(height * _MOST_STEPS, room))
    steps_top = findings_top - tall
    strip = max(strip_height(order, steps_top - y - _GOOD_SHAPE), strip)
    above = steps_top - strip
    draw_shape(drawing, plan, (left, y + 3, right, above - 3))
    if order and strip:
        bend_by_bend(drawing, order, (left, above, right, steps_top))
    _steps(drawing, steps, steps_top + 3, size)
    draw_findings(drawing, findings, findings_top + 3, foot, heading.wording)
    draw_foot(drawing, foot + 4)
    return drawing


def _step_text(step: Step, wording: Wording) -> str:
    return wording.text(in_turn(step.do, step.check))


def _wide(width: float) -> float:
    return width - 2 * MARGIN - 10


def _steps_size(steps: Sequence[str], width: float, most: float) -> tuple[float, float]:
    """The size that the steps are set in, and the height that they then take."""
    tall = 0.0
    for size in _STEP_SIZES:
        lines = sum(len(lines_of(step, size, _wide(width))) for step in steps)
        tall = lines * size * 1.35 + len(steps) * size * 0.3 + (4 if steps else 0)
        if tall <= most:
            break
    return size, tall


def _steps(drawing: Drawing, steps: Sequence[str], y: float, size: float) -> None:
    left = MARGIN
    for number, step in enumerate(steps, 1):
        drawing.rectangle(left, y - size * 0.85, size * 0.95, size * 0.95, line=0.15)
        drawing.text(left + size * 1.6, y, f"{number}", size, bold=True)
        y = drawing.paragraph(left + size * 3.2, y, _wide(drawing.width), step, size)
        y += size * 0.3
