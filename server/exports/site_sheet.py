"""The sheets of ducts between buildings: the plan to scale, and the schedule with all lists."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from itertools import pairwise

from exports.drawing import (
    ACCENT,
    BRICK,
    FAINT,
    INK,
    PIPE,
    SOFT,
    Anchor,
    Drawing,
    Point,
    text_width,
)
from exports.labels import Label, around, beside_outline, draw_labels
from exports.listed import ListedLine, draw_lists
from exports.page import (
    ABOVE_FOOT,
    DIGGING,
    MARGIN,
    Heading,
    draw_findings,
    draw_foot,
    draw_heading,
    findings_height,
)
from yarrow import DuctSite, PlanPoint, SiteCable, SitePlan, SiteStretch, Wording

_LABEL = 3.3
_NAME = 3.7
_LEAST_M = 40.0
_BARS = (1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000)
_M_A_FOOT = 0.3048


def compose_site_sheet(
    site: DuctSite, plan: SitePlan, heading: Heading, paper: tuple[float, float]
) -> tuple[Drawing, ...]:
    """The plan on a page, and behind it as many pages of lists as they take.

    Args:
        paper: its width and height in millimetres.
    """
    metres = sum(stretch.length_m for stretch in plan.stretches)
    put = plan.points.branches + plan.points.on_the_way
    facts = f"{len(plan.stretches)} stretches · {put} pull points put by Yarrow"
    first = Drawing(*paper, f"{heading.run}, {heading.job}: the plan")
    y = draw_heading(first, heading, facts, ("ducts", f"{metres:.0f} m"))
    foot = first.height - MARGIN - ABOVE_FOOT
    bottom = foot - findings_height(plan.findings, first.width, heading.wording)
    draw_findings(first, plan.findings, bottom + 2, foot, heading.wording)
    _plan(first, site, plan, y + 5, bottom - 5)
    draw_foot(first, foot + 4, DIGGING, "Laid by")
    pages = [first]
    left: Sequence[ListedLine] = tuple(_schedule_lines(plan, heading.wording))
    while left:
        title = f", page {len(pages) + 1}"
        drawing = Drawing(*paper, f"{heading.run}, {heading.job}{title}")
        y = draw_heading(drawing, heading, f"Duct schedule{title}", ("ducts", f"{metres:.0f} m"))
        left = draw_lists(drawing, left, y + 6, foot - 4)
        draw_foot(drawing, foot + 4, DIGGING, "Laid by")
        pages.append(drawing)
    return tuple(pages)


def _plan(drawing: Drawing, site: DuctSite, plan: SitePlan, top: float, bottom: float) -> None:
    """Everything from above, as large as it goes in between two heights."""
    points = [point for place in site.places for point in (*place.entries, *place.outline)]
    points += [point for trench in site.trenches for point in trench.line]
    if not points:
        return
    left, low = (min(point[at] for point in points) for at in (0, 1))
    right, high = (max(point[at] for point in points) for at in (0, 1))
    wide, tall = max(right - left, _LEAST_M), max(high - low, _LEAST_M)
    room = drawing.width - 2 * MARGIN
    scale = min((room - 24) / wide, (bottom - top - 16) / tall)

    def at(point: PlanPoint) -> Point:
        x = drawing.width / 2 + (point[0] - (left + right) / 2) * scale
        return x, (top + bottom) / 2 - (point[1] - (low + high) / 2) * scale

    lines: list[tuple[Point, Point]] = []
    for place in site.places:
        if len(place.outline) > 2:
            corners = [at(point) for point in place.outline]
            lines += pairwise([*corners, corners[0]])
            if place.planned:
                drawing.line(*corners, corners[0], width=0.3, stroke=SOFT, dash=(1.6, 1.2))
            else:
                drawing.shape(*corners, fill=PIPE, width=0.3)
    for way in plan.second_ways[:1]:
        points_of_way = [at(point) for point in way.line]
        lines += pairwise(points_of_way)
        drawing.line(*points_of_way, stroke=ACCENT, width=0.4, dash=(2.0, 1.6))
    labels: list[Label] = []
    for stretch in plan.stretches:
        colour = INK if stretch.kept else BRICK
        width = min(0.7 + 0.2 * len(stretch.ducts), 2.0)
        points_of_stretch = [at(point) for point in stretch.line]
        lines += pairwise(points_of_stretch)
        drawing.line(*points_of_stretch, width=width, stroke=colour)
        labels += _label_of(stretch, points_of_stretch)
    names: list[Label] = []
    for stop in plan.stops:
        x, y = at(stop.at)
        fill = "#ffffff" if stop.place is None else FAINT
        drawing.rectangle(x - 1.1, y - 1.1, 2.2, 2.2, fill=fill, stroke=INK, line=0.35)
        # Names choose their places before lengths do.
        outline = site.places[stop.place].outline if stop.place is not None else ()
        places = around((x, y), 2.0, _NAME)
        if len(outline) > 2:
            places = (*beside_outline([at(point) for point in outline], _NAME), *places)
        names.append(Label(stop.name, _NAME, places, bold=True))
        lines += _square((x, y))
    room_of_plan = (MARGIN, top, drawing.width - MARGIN, bottom)
    draw_labels(drawing, [*names, *labels], lines, room_of_plan)
    _north(drawing, plan.north, top)
    _scale_bar(drawing, scale, bottom, feet=plan.units == "in")


def _square(at: Point) -> Iterator[tuple[Point, Point]]:
    """The sides of a pull point's mark: no word stands on it."""
    x, y = at
    corners = [(x - 1.1, y - 1.1), (x + 1.1, y - 1.1), (x + 1.1, y + 1.1), (x - 1.1, y + 1.1)]
    return pairwise([*corners, corners[0]])


def _label_of(stretch: SiteStretch, points: Sequence[Point]) -> Iterator[Label]:
    """What a stretch is, on either side of its longest leg, where that is long enough."""
    one, other = max(pairwise(points), key=lambda leg: math.dist(*leg))
    text = f"{stretch.ducts_text} · {stretch.length_text}"
    upright = abs(other[1] - one[1]) > abs(other[0] - one[0])
    if math.dist(one, other) <= (2 * _LABEL if upright else text_width(text, _LABEL)):
        return
    places: list[tuple[Point, Anchor]] = []
    for share in (0.5, 0.35, 0.65, 0.2, 0.8):
        x, y = (a + (b - a) * share for a, b in zip(one, other, strict=True))
        if upright:
            places += (((x + 2, y + 1), "start"), ((x - 2, y + 1), "end"))
        else:
            places += (((x, y - 2), "middle"), ((x, y + 2 + _LABEL * 0.8), "middle"))
    yield Label(text, _LABEL, tuple(places))


def _north(drawing: Drawing, turned: float, top: float) -> None:
    x, y = drawing.width - MARGIN - 6, top + 10
    angle = math.radians(turned)

    def at(across: float, up: float) -> Point:
        return (
            x + across * math.cos(angle) + up * math.sin(angle),
            y + across * math.sin(angle) - up * math.cos(angle),
        )

    drawing.shape(at(0, 5), at(2.2, -4), at(0, -2), at(-2.2, -4), fill=INK)
    name = at(0, 7)
    drawing.text(name[0], name[1] + 1, "N", 3, bold=True, anchor="middle")


def _scale_bar(drawing: Drawing, scale: float, bottom: float, *, feet: bool) -> None:
    """Args: scale, mm of paper a metre."""
    unit = _M_A_FOOT if feet else 1.0
    bar = max((bar for bar in _BARS if bar * unit * scale <= 45), default=_BARS[0])
    long = bar * unit * scale
    drawing.line((MARGIN, bottom - 1.5), (MARGIN, bottom + 1.5), width=0.3)
    drawing.line((MARGIN, bottom), (MARGIN + long, bottom), width=0.3)
    drawing.line((MARGIN + long, bottom - 1.5), (MARGIN + long, bottom + 1.5), width=0.3)
    text = f"{bar} {'ft' if feet else 'm'}, about 1 : {1000 / scale:.0f}"
    drawing.text(MARGIN, bottom - 2.4, text, _LABEL)


def _schedule_lines(plan: SitePlan, wording: Wording) -> Iterator[ListedLine]:
    yield ListedLine("Pull points", title=True)
    yield ListedLine(wording.text(plan.points.told))
    for why in plan.points.why:
        yield ListedLine(wording.text(why), beside=True)
    yield ListedLine(wording.text(plan.rules), beside=True)
    for stretch in plan.stretches:
        yield ListedLine(f"{stretch.name}, {stretch.length_text}", title=True)
        yield ListedLine(f"{wording.text(stretch.uses)}; {wording.text(stretch.turns)}")
        for lies in stretch.lies:
            yield ListedLine(wording.text(lies), beside=True)
        for duct in stretch.ducts:
            inside = "; ".join(
                _cables(plan.cables[of], count, wording) for of, count in duct.cables
            )
            yield ListedLine(f"{duct.label}: {inside or wording.text(duct.kind)}")
        yield ListedLine(wording.text(stretch.cut), beside=True)
        by_item = {seen.item: f"{seen.by}, {seen.at[:10]}" for seen in stretch.seen}
        checks = (
            f"{wording.text(check.name)}: {by_item.get(check.item, '____')}"
            for check in plan.checklist
        )
        yield ListedLine(" · ".join(checks), beside=True)
    if plan.second_ways:
        yield ListedLine("Second ways", title=True)
    for way in plan.second_ways:
        yield ListedLine(wording.text(way.told))
    yield ListedLine("Cables", title=True)
    for cable in plan.cables:
        yield ListedLine(f"{_cables(cable, cable.count, wording)}: {cable.length_text}")
        if cable.pull:
            yield ListedLine(wording.text(cable.pull), beside=True)
    yield ListedLine("What it takes", title=True)
    for quantity in plan.quantities:
        yield ListedLine(f"{wording.text(quantity.what)}: {quantity.text}")


def _cables(cable: SiteCable, count: int, wording: Wording) -> str:
    """So many of a need's cables: ``12 fibre, Hall – Kiosk``."""
    return f"{count} {wording.text(cable.kind)}, {cable.name}"
