"""The sheet of a framed wall: it from the front, and all that is mounted, bored, cut and put in."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from exports.drawing import ACCENT, FAINT, INK, PIPE, SOFT, Drawing, Point
from exports.listed import ListedLine, draw_lists
from exports.page import (
    ABOVE_FOOT,
    MARGIN,
    Heading,
    draw_findings,
    draw_foot,
    draw_heading,
    findings_height,
)
from yarrow import PlannedFeed, WallPlan, Wording

_MOST_TALL = 95.0


def compose_wall_sheet(
    plan: WallPlan, heading: Heading, paper: tuple[float, float]
) -> tuple[Drawing, ...]:
    """The whole sheet: heading, the wall, the lists in columns, findings, foot; and as many pages
    more as the lists take.

    Args:
        paper: its width and height in millimetres.
    """
    pieces = sum(len(feed.pieces) for feed in plan.feeds)
    facts = (
        f"{len(plan.boxes)} boxes · {len(plan.feeds)} feeds · "
        f"{sum(hole.count for hole in plan.to_bore)} holes"
    )
    findings = [*plan.findings, *(finding for feed in plan.feeds for finding in feed.findings)]
    left: Sequence[ListedLine] = tuple(_lines(plan, heading.wording))
    pages: list[Drawing] = []
    while not pages or left:
        title = f", page {len(pages) + 1}" if pages else ""
        drawing = Drawing(*paper, f"{heading.run}, {heading.job}{title}")
        y = draw_heading(drawing, heading, facts + title, ("pieces", str(pieces)))
        foot = drawing.height - MARGIN - ABOVE_FOOT
        bottom = foot
        if not pages:
            bottom -= findings_height(findings, drawing.width, heading.wording)
            draw_findings(drawing, findings, bottom + 2, foot, heading.wording)
            y = _elevation(drawing, plan, y + 9)
        left = draw_lists(drawing, left, y + 6, bottom - 4)
        draw_foot(drawing, foot + 4)
        pages.append(drawing)
    return tuple(pages)


def _elevation(drawing: Drawing, plan: WallPlan, top: float) -> float:
    """The wall to scale from the front. Returns where it ends."""
    room = drawing.width - 2 * MARGIN
    scale = min(room / plan.length, _MOST_TALL / plan.height)
    left = MARGIN + (room - plan.length * scale) / 2

    def at(along: float, up: float) -> Point:
        return left + along * scale, top + (plan.height - up) * scale

    bottom, ceiling = plan.plates[0], plan.height - plan.plates[1]
    for low, high in ((0.0, bottom), (ceiling, plan.height)):
        _timber(drawing, at(0.0, high), at(plan.length, low))
    for stud in plan.studs:
        for low, high in stud.parts:
            _timber(drawing, at(stud.begins, high), at(stud.ends, low))
        if stud.number:
            x, y = at(stud.middle, 0.0)
            drawing.text(x, y + 3.2, str(stud.number), 2.4, anchor="middle", colour=SOFT)
    for opening in plan.openings:
        over = opening.head + opening.header
        _timber(drawing, at(opening.begins, over), at(opening.ends, opening.head))
        corners = at(opening.begins, opening.head), at(opening.ends, opening.sill)
        _outline(drawing, *corners, fill="#ffffff")
        x, y = at((opening.begins + opening.ends) / 2, (opening.head + opening.sill) / 2)
        drawing.text(x, y, opening.name, 2.6, anchor="middle", colour=SOFT)
    for along in plan.corners:
        drawing.line(at(along, plan.height), at(along, 0.0), dash=(1.6, 1.0))
    for feed in plan.feeds:
        drawing.line(*(at(x, z) for x, _, z in feed.path), width=0.8, stroke=ACCENT)
        for x, _, z in feed.joints:
            place = at(x, z)
            drawing.line((place[0], place[1] - 1), (place[0], place[1] + 1), width=0.9)
    for hole in plan.holes:
        x, y = at(hole.along, hole.height)
        half = max(hole.bit * scale / 2, 0.5)
        _outline(drawing, (x - half, y - half), (x + half, y + half), fill="#ffffff")
    ends = {feed.number: feed for feed in plan.feeds}
    for out in plan.plate_holes:
        x, y = at(out.along, plan.height if out.plate == "top" else 0.0)
        y += -1.5 if out.plate == "top" else 6.5
        drawing.text(x + 1.5, y, ends[out.feed].end, 2.5, bold=True)
    for box in plan.boxes:
        corners = at(box.begins, box.top), at(box.ends, box.bottom)
        _outline(drawing, *corners, fill="#ffffff")
        x = (corners[0][0] + corners[1][0]) / 2
        drawing.text(x, corners[1][1] + 3, box.name, 2.5, bold=True, anchor="middle")
    return at(0.0, 0.0)[1] + 4


def _timber(drawing: Drawing, one: Point, other: Point) -> None:
    drawing.rectangle(
        one[0], one[1], other[0] - one[0], other[1] - one[1], fill=PIPE, stroke=FAINT, line=0.12
    )


def _outline(drawing: Drawing, one: Point, other: Point, fill: str) -> None:
    drawing.rectangle(
        one[0], one[1], other[0] - one[0], other[1] - one[1], fill=fill, stroke=INK, line=0.2
    )


def _lines(plan: WallPlan, wording: Wording) -> Iterator[ListedLine]:
    yield ListedLine("Boxes to mount", title=True)
    for box in plan.boxes:
        proud = f", proud {box.proud_text}"
        yield ListedLine(f"{box.name}: {wording.text(box.on)}, top at {box.top_text}{proud}")
    yield ListedLine("Holes to bore", title=True)
    for bored in plan.to_bore:
        where = f"in the {bored.plate} plate" if bored.plate else f"at {bored.height_text}"
        yield ListedLine(f"{bored.count} × {bored.bit_text} {where}")
    for hole in plan.plate_holes:
        where = f"at {hole.along_text}, {hole.deep_text} behind the face"
        yield ListedLine(f"{hole.plate} plate {where}", beside=True)
    yield ListedLine("What is needed", title=True)
    for thing in plan.needed:
        yield ListedLine(f"{thing.count} {wording.text(thing.what)}")
    yield ListedLine("In this order", title=True)
    for number, step in enumerate(plan.order, 1):
        yield ListedLine(f"{number}. {wording.text(step)}")
    for feed in plan.feeds:
        yield from _pieces(feed, wording)


def _pieces(feed: PlannedFeed, wording: Wording) -> Iterator[ListedLine]:
    kicks = f", kicks of {wording.text(feed.kick_text)}" if feed.kick_text else ""
    yield ListedLine(f"{feed.start} to {feed.end}{kicks}", title=True)
    for piece in feed.pieces:
        shown = [str(mark) for mark in piece.marks]
        if piece.found:
            shown = [f"{mark.reads} {wording.text(mark.where)}" for mark in piece.found]
        marks = f", marks {', '.join(shown)}" if shown else ", straight"
        yield ListedLine(f"{piece.number}. cut {piece.cut_text}{marks}")
        yield ListedLine(f"in as {piece.turn}: {wording.text(piece.goes_in)}", beside=True)
