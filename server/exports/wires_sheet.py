"""The sheet of a run's wire: what goes in, the sum, what else would do, the pull, on one page."""

from __future__ import annotations

from exports.drawing import BRICK, FAINT, MOSS, SOFT, Drawing
from exports.page import (
    ABOVE_FOOT,
    MARGIN,
    Heading,
    draw_findings,
    draw_foot,
    draw_heading,
    findings_height,
)
from yarrow import (
    FillResult,
    Finding,
    FindingCode,
    Part,
    Phrase,
    PlannedPull,
    PlannedWires,
    Quantity,
    Value,
    Wording,
    WrittenPlan,
    count,
    degrees,
)

_TEXT = 3.3
_ROW = 5.6
_UNITS = {"in^2": "in²", "mm2": "mm²", "factor": "factor"}


def wires_note(plan: WrittenPlan) -> tuple[Finding, ...]:
    """A run's wire in a line, as it stands among what its own sheet has to say."""
    fill = plan.wires.fill if plan.wires else None
    if plan.wires is None or fill is None:
        return ()
    values: dict[str, Value] = {
        "wires": tuple(
            Phrase("wires/count", {"count": count(number), "name": name})
            for name, number in _merged(fill.conductors).items()
        ),
        "share": Quantity(fill.share * 100, "%", f"{fill.share:.0%}"),
        "how": Phrase(f"wires/{fill.method}"),
    }
    return (Finding(FindingCode.WIRES, values, source=fill.rule.written),)


def compose_wires_sheet(plan: WrittenPlan, heading: Heading, paper: tuple[float, float]) -> Drawing:
    """The whole sheet; a run whose wire is not told of says so.

    Args:
        paper: its width and height in millimetres.
    """
    width, height = paper
    drawing = Drawing(width, height, f"{heading.run}, wires, {heading.job}")
    wires = plan.wires
    fill = wires.fill if wires else None
    bent = degrees(plan.totals.bend_degrees)
    facts = f"{plan.conduit.name} · {plan.cut_length_text} · {bent} of bends"
    share = f"{fill.share:.0%}" if fill else ""
    y = draw_heading(drawing, heading, facts, ("of what may go in", share)) + 9
    foot = height - MARGIN - ABOVE_FOOT
    if wires is None or fill is None:
        drawing.text(MARGIN, y, "Nothing is told of this run's wire.", 4, bold=True)
    else:
        findings = (*wires.findings, *fill.findings, *(wires.pull.findings if wires.pull else ()))
        y = _verdict(drawing, fill, heading.wording, y)
        y = _conductors(drawing, fill, heading.wording, y + 4)
        y = _remaining_notes(drawing, fill, heading.wording, y + 5)
        y = _pull(drawing, wires, y + 4, heading.wording)
        top = max(foot - findings_height(findings, width, heading.wording), y)
        draw_findings(drawing, findings, top + 3, foot, heading.wording)
    draw_foot(drawing, foot + 4)
    return drawing


def _verdict(drawing: Drawing, fill: FillResult, wording: Wording, y: float) -> float:
    right = drawing.width - MARGIN
    colour = MOSS if fill.passes else BRICK
    word = "It goes in" if fill.passes else "It does not go in"
    drawing.text(MARGIN, y, word, 6, bold=True, colour=colour)
    y += 4
    wide = right - MARGIN
    drawing.rectangle(MARGIN, y, wide, 4, line=0.2, stroke=SOFT)
    drawing.rectangle(MARGIN, y, wide * min(fill.share, 1.0), 4, fill=colour, line=0)
    y += 9
    rule = wording.text(fill.rule.text)
    text = f"{rule[0].upper()}{rule[1:]}. {fill.rule.written}."
    return drawing.paragraph(MARGIN, y, wide, text, _TEXT, colour=SOFT)


def _conductors(drawing: Drawing, fill: FillResult, wording: Wording, y: float) -> float:
    left, right = MARGIN, drawing.width - MARGIN
    one_each, all_ = right - 62, right - 30
    unit = _UNITS[fill.amount]
    for text, x in ((f"each, {unit}", one_each), (f"all, {unit}", all_), ("more go in", right)):
        drawing.text(x, y, text, 2.7, anchor="end", colour=SOFT)
    drawing.text(left, y, "what goes in", 2.7, colour=SOFT)
    y += 1.6
    for part in fill.conductors:
        drawing.line((left, y), (right, y), stroke=FAINT)
        y += _ROW - 1.4
        role = wording.text(Phrase("earth")) if part.role == "earth" else part.role
        name = f"{part.name}, {role}" if role != "cable" else part.name
        drawing.text(left, y, f"{part.count} × {name}", _TEXT)
        drawing.text(one_each, y, _figure(part.each, fill), _TEXT, anchor="end")
        drawing.text(all_, y, _figure(part.total, fill), _TEXT, anchor="end")
        drawing.text(right, y, str(part.room), _TEXT, anchor="end")
        y += 1.4
    drawing.line((left, y), (right, y), width=0.3)
    y += _ROW - 1.0
    drawing.text(left, y, f"{fill.count} together", _TEXT, bold=True)
    drawing.text(all_, y, _figure(fill.used, fill), _TEXT, bold=True, anchor="end")
    y += _ROW
    drawing.text(left, y, "The limit", _TEXT)
    drawing.text(all_, y, _figure(fill.limit, fill), _TEXT, anchor="end")
    if fill.spare:
        y += _ROW
        drawing.text(left, y, f"The limit with {fill.spare:g} % kept free", _TEXT)
        drawing.text(all_, y, _figure(fill.usable, fill), _TEXT, anchor="end")
    return y


def _remaining_notes(drawing: Drawing, fill: FillResult, wording: Wording, y: float) -> float:
    """The smallest that passes, and the other country's way."""
    wide = drawing.width - 2 * MARGIN
    sizes = [
        f"{conductor.name} {(conductor.size or 'none').replace('-', ' ')}"
        for conductor in fill.by_type
    ]
    smallest = ", ".join(sizes) or (fill.smallest or "none of the table")
    y = drawing.paragraph(MARGIN, y, wide, f"Smallest that passes: {smallest}.", _TEXT)
    other = fill.beside
    if other is not None:
        share = f"{other.share:.0%} of what is allowed. " if other.passes is not None else ""
        text = f"The other way: {share}{wording.text(other.text)}."
        y = drawing.paragraph(MARGIN, y + 1, wide, text, _TEXT, colour=SOFT)
    return y


def _pull(drawing: Drawing, wires: PlannedWires, y: float, wording: Wording) -> float:
    wide = drawing.width - 2 * MARGIN
    drawing.text(MARGIN, y, "The pull", 4, bold=True)
    points = wires.points
    bent = f"{degrees(points.degrees)} of {degrees(points.limit)} between pull points."
    lines = [bent, *(wording.text(place.text) for place in wires.breaks)]
    if wires.pull is not None:
        lines += [wording.text(wires.pull.text), *_ways(wires.pull)]
    y += 1
    for line in lines:
        y = drawing.paragraph(MARGIN, y + 4.4, wide, line, _TEXT) - 3.6
    return y + 3


def _ways(pull: PlannedPull) -> list[str]:
    estimated = " (estimated)" if pull.mass_estimated else ""
    worked = (
        f"Worked with {pull.mass:.3g} {pull.per_length}{estimated}, {pull.state}, friction "
        f"{pull.friction:g}; an estimate by the usual straight and bend equations."
    )
    ways = (
        f"Fed in at the {way.feed}: {way.most_tension:.1f} {pull.force} at most, hardest bend "
        f"{way.most_side_wall:.1f} {pull.pressure}."
        for way in pull.pull.ways
    )
    return [*ways, worked]


def _figure(value: float, fill: FillResult) -> str:
    return f"{value:.4f}" if fill.amount == "in^2" else f"{value:.0f}"


def _merged(parts: tuple[Part, ...]) -> dict[str, int]:
    counts: dict[str, int] = {}
    for part in parts:
        counts[part.name] = counts.get(part.name, 0) + part.count
    return counts
