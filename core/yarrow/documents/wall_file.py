"""Reading ``yarrow.wall/1`` and answering with its studs, holes, runs and lists."""

from __future__ import annotations

import json
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.documents.errors import DocumentError
from yarrow.documents.run_file import read_conduit, read_run, read_unit
from yarrow.documents.schema import reader
from yarrow.findings.finding import Finding, errors_of, gravest_first
from yarrow.geometry.vectors import Vector, subtract
from yarrow.measure.rounding import STEPS, USUAL_STEP
from yarrow.pieces.pieces import piece_plans
from yarrow.pieces.places import reach_of
from yarrow.runs.written_plan import write_plan
from yarrow.walls.checks import route_findings, wall_findings
from yarrow.walls.routes import BenderRoom, Route, route
from yarrow.walls.sliding import slid_on
from yarrow.walls.wall import Feed, FramedWall, HoleLine, Studs, WallBox
from yarrow.walls.wall_plan import (
    BoredHole,
    PlacedBox,
    PlacedStud,
    PlannedFeed,
    ToBore,
    WallPiece,
    WallPlan,
)
from yarrow.wording.lengths import LengthFormatter, degrees

FORMAT = "yarrow.wall-plan/1"

_KICK = 0.2
"""Tangent of half of a kick's angle that room is left for: a kick is gentler than 22 degrees."""


def wall_document(document: object) -> WallPlan:
    """A framed wall with its runs, its holes and its lists.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError; also for a stud, a box or a line that is not there.
    Source: docs/geometry.md, framed walls.
    """
    laid = lay_wall(document)
    wall, words, routes = laid.wall, laid.words, laid.routes
    feeds = tuple(_planned(wall, laid.bender, number, way) for number, way in enumerate(routes))
    holes = _holes(wall, routes, words)
    bored = Counter((each.bit_text, each.height_text) for each in holes)
    slid = (slid_on(wall, line) for line in wall.lines)
    return WallPlan(
        format=FORMAT,
        units=wall.unit,
        name=wall.name,
        length=wall.length,
        height=wall.height,
        plates=wall.plates,
        studs=tuple(
            PlacedStud(at, middle - wall.studs.width / 2, middle + wall.studs.width / 2)
            for at, middle in enumerate(wall.studs.middles, 1)
        ),
        boxes=tuple(_placed_box(wall, box, words) for box in wall.boxes),
        holes=holes,
        feeds=feeds,
        longest_slid=tuple(words.reading(words.down(each)) for each in slid),
        to_bore=tuple(ToBore(bit, height, many) for (bit, height), many in bored.items()),
        connectors=2 * len(feeds),
        couplings=sum(len(way.joints) for way in routes),
        findings=gravest_first(laid.findings),
    )


@dataclass(frozen=True, slots=True)
class LaidWall:
    """A wall with the ways of its feeds, before a pipe is planned: the name of its bender, and what
    is wrong so far."""

    wall: FramedWall
    bender: str
    words: LengthFormatter
    routes: tuple[Route, ...]
    findings: tuple[Finding, ...]


def lay_wall(document: object) -> LaidWall:
    """A framed wall with the way of every feed.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError, as wall_document.
    """
    shape = reader("wall")(document, "", read_unit(document))
    wall = read_wall(shape)
    words = LengthFormatter(wall.unit, STEPS[wall.unit][USUAL_STEP[wall.unit]])
    setup = read_run(_run_of(wall, shape["bender"], "", ((0, 0, 0), (100, 0, 0)), ())).setup
    bender = setup.bender
    coupling = couplings()[usual_coupling(wall.conduit)].on(wall.conduit, wall.unit)
    reach = max(reach_of(bender), coupling.takes) + coupling.open / 2
    room = BenderRoom(reach_of(bender) + _KICK * bender.radius, bender.radius + reach)
    routes = tuple(route(wall, feed, room) for feed in wall.feeds if feed.start != feed.end)
    least = room.end + (1 + _KICK) * bender.radius
    found = (*wall_findings(wall, words), *route_findings(wall, routes, least, words))
    return LaidWall(wall, shape["bender"], words, routes, found)


def read_wall(shape: dict[str, Any]) -> FramedWall:
    """A wall, with its studs, boxes, lines and feeds by their numbers.

    Args: shape, as the wall's schema reads it.
    Raises: DocumentError, for a stud, a box or a line that is not there, or a name that is twice.
    """
    unit, studs = shape["units"], shape["studs"]
    length = float(shape["length"].value)
    middles = tuple(float(each.value) for each in studs["at"]) or _spaced(studs, length)
    if list(middles) != sorted(set(middles)) or middles[-1] > length:
        raise DocumentError("studs.at", "the middles of studs in order, within the wall")
    framing = Studs(
        middles, float(studs["width"].value), float(studs["depth"].value), studs["bearing"]
    )
    names = [box["name"].strip() for box in shape["boxes"]]
    lines = [line["name"].strip() for line in shape["lines"]]
    for field, given in (("boxes", names), ("lines", lines)):
        for number, name in enumerate(given):
            if not name or name in given[:number]:
                raise DocumentError(f"{field}[{number}].name", "a name that no other has")
    for number, box in enumerate(shape["boxes"]):
        if box["stud"] > len(middles):
            raise DocumentError(f"boxes[{number}].stud", f"one of {len(middles)} studs")
    plates = shape.get("plates") or reader("wall", "plates")({}, "plates", unit)
    return FramedWall(
        name=shape["name"],
        unit=unit,
        conduit=read_conduit(shape["conduit"]),
        length=length,
        height=float(shape["height"].value),
        plates=(float(plates["bottom"].value), float(plates["top"].value)),
        studs=framing,
        boxes=tuple(_box(box) for box in shape["boxes"]),
        lines=tuple(
            HoleLine(
                line["name"].strip(),
                float(line["height"].value),
                float(line["setback"].value),
                float(line["bit"].value),
            )
            for line in shape["lines"]
        ),
        feeds=tuple(
            _feed(feed, f"feeds[{number}]", names, lines)
            for number, feed in enumerate(shape["feeds"])
        ),
    )


def _spaced(studs: dict[str, Any], length: float) -> tuple[float, ...]:
    spacing, first = float(studs["spacing"].value), float(studs["first"].value)
    if spacing <= float(studs["width"].value):
        raise DocumentError("studs.spacing", "more than a stud is wide")
    if length / spacing > 200:
        raise DocumentError("studs.spacing", "at most 200 studs")
    found = []
    while first <= length + 1e-9:
        found.append(first)
        first += spacing
    if not found:
        raise DocumentError("studs.first", "within the wall")
    return tuple(found)


def _box(shape: dict[str, Any]) -> WallBox:
    sizes = {
        name: float(shape[name].value)
        for name in ("height", "proud", "width", "tall", "deep", "knockout")
    }
    return WallBox(shape["name"].strip(), shape["stud"] - 1, shape["side"], to=shape["to"], **sizes)


def _feed(shape: dict[str, Any], path: str, boxes: list[str], lines: list[str]) -> Feed:
    places = []
    for field in ("from", "to"):
        name = shape[field].strip()
        if name not in boxes:
            raise DocumentError(f"{path}.{field}", f"a box of the wall: {', '.join(boxes)}")
        places.append(boxes.index(name))
    line = shape["line"].strip() or (lines[0] if lines else "")
    if line not in lines:
        raise DocumentError(
            f"{path}.line", f"a line of holes: {', '.join(lines) or 'none is there'}"
        )
    return Feed(places[0], places[1], lines.index(line))


def _run_of(
    wall: FramedWall,
    bender: str,
    name: str,
    vertices: Sequence[Vector],
    joints: Sequence[dict[str, Any]],
) -> dict[str, Any]:
    """A feed as a run of its own, by its corners as they lie from its first one."""
    first = vertices[0]
    return {
        "format": "yarrow.run/1",
        "name": name,
        "units": wall.unit,
        "conduit": {"type": wall.conduit.type, "size": wall.conduit.size},
        "bender": bender,
        "start": {"kind": "connector"},
        "path": [[round(value, 6) for value in subtract(v, first)] for v in vertices],
        **({"joints": {"places": list(joints)}} if joints else {}),
    }


def _planned(wall: FramedWall, bender: str, number: int, way: Route) -> PlannedFeed:
    start, end = wall.boxes[way.feed.start], wall.boxes[way.feed.end]
    line = wall.lines[way.feed.line]
    joints = [{"leg": way.leg, "at": round(at, 6), "from": "centre"} for at in way.joints]
    run = _run_of(wall, bender, f"{start.name} to {end.name}", way.vertices, joints)
    pieces, findings = _pieces_of(json.dumps({**run, "name": ""}))
    kicks = [degrees(angle) for angle in way.kicks if angle]
    return PlannedFeed(
        number=number,
        start=start.name,
        end=end.name,
        line=line.name,
        path=way.vertices,
        kick_text=" and ".join(dict.fromkeys(kicks)),
        studs=tuple(stud + 1 for stud in way.studs),
        run=run,
        pieces=pieces,
        findings=findings,
    )


@lru_cache(maxsize=1000)
def _pieces_of(run: str) -> tuple[tuple[WallPiece, ...], tuple[Finding, ...]]:
    """The pieces of a feed's run, and what is wrong with it. A feed that is as another, or as it
    was, is planned once: its run lies from its own knockout."""
    plans, wrong = piece_plans(read_run(json.loads(run)))
    pieces = tuple(
        WallPiece(
            number,
            plan.cut_length_text,
            tuple(mark.text for mark in plan.working_marks),
            len(plan.bends),
        )
        for number, plan in enumerate(map(write_plan, plans), 1)
    )
    return pieces, errors_of(gravest_first(wrong))


def _holes(
    wall: FramedWall, routes: Sequence[Route], words: LengthFormatter
) -> tuple[BoredHole, ...]:
    through: dict[tuple[int, int], list[int]] = {}
    for number, way in enumerate(routes):
        for stud in way.studs:
            through.setdefault((way.feed.line, stud), []).append(number)
    return tuple(
        BoredHole(
            stud=stud + 1,
            line=wall.lines[line].name,
            along=wall.studs.middles[stud],
            height=wall.lines[line].height,
            height_text=words.reading(wall.lines[line].height),
            bit=wall.lines[line].bit,
            bit_text=words.reading(wall.lines[line].bit),
            feeds=tuple(feeds),
        )
        for (line, stud), feeds in sorted(through.items())
    )


def _placed_box(wall: FramedWall, box: WallBox, words: LengthFormatter) -> PlacedBox:
    begins, ends = wall.extent(box)
    return PlacedBox(
        name=box.name,
        stud=box.stud + 1,
        side=box.side,
        begins=begins,
        ends=ends,
        bottom=box.bottom,
        top=box.top,
        knockout=wall.middle_of(box),
        top_text=words.reading(box.top),
        proud_text=words.reading(box.proud),
    )
