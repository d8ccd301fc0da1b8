"""Planning ``yarrow.wall/1``: its boxes, holes, runs and lists."""

from __future__ import annotations

import json
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import lru_cache
from typing import Any

from yarrow.benders.bender import Bender
from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.reading import toml
from yarrow.documents.errors import DocumentError
from yarrow.documents.run_file import read_run
from yarrow.documents.wall_reading import read_shape, read_wall
from yarrow.fill.conductor import Conductor
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first
from yarrow.geometry.vectors import Vector, along, subtract, unit
from yarrow.measure.rounding import STEPS, USUAL_STEP
from yarrow.measure.units import convert_length
from yarrow.pieces.pieces import piece_plans
from yarrow.pieces.places import reach_of
from yarrow.runs.layout.walk import pipe_of
from yarrow.runs.written_plan import write_plan
from yarrow.walls.checks import knockout_findings, route_findings, wall_findings
from yarrow.walls.knockouts import Leavings, leavings
from yarrow.walls.lists import holes_of, needed, order_of_work, plate_holes_of, to_bore
from yarrow.walls.pieces_in import goes_in
from yarrow.walls.routes import BenderRoom, Route, route
from yarrow.walls.volume import volume_of
from yarrow.walls.wall import Feed, FeedEnd, FramedWall, WallBox
from yarrow.walls.wall_plan import (
    PlacedBox,
    PlacedLine,
    PlannedFeed,
    WallPiece,
    WallPlan,
)
from yarrow.wording.lengths import LengthFormatter, degrees
from yarrow.wording.phrase import Phrase, Value, count

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
    holes, in_plates = holes_of(wall, routes, words), plate_holes_of(routes, words)
    volumes = {number: volume_of(wall, number, laid.wires) for number in range(len(wall.boxes))}
    findings = [*laid.findings]
    for number, volume in volumes.items():
        if volume and not volume.passes:
            values: dict[str, Value] = {
                "box": wall.boxes[number].name,
                "needed": f"{volume.needed:g}",
                "volume": f"{volume.volume:g}",
            }
            code, path = FindingCode.BOX_OF_WALL_TOO_FULL, f"boxes[{number}]"
            findings.append(Finding(code, values, path=path, source=volume.rule.written))
    return WallPlan(
        format=FORMAT,
        units=wall.unit,
        name=wall.name,
        length=wall.length,
        height=wall.height,
        plates=wall.plates,
        studs=wall.studs.each,
        openings=wall.openings,
        corners=tuple(each.at for each in wall.corners),
        boxes=tuple(
            _placed_box(
                box,
                words,
                f"{volume.needed:g} of {volume.volume:g} in³" if volume else "",
            )
            for box, volume in zip(wall.boxes, volumes.values(), strict=True)
        ),
        lines=tuple(
            PlacedLine(line.name, line.height, words.reading(line.height)) for line in wall.lines
        ),
        holes=holes,
        plate_holes=in_plates,
        feeds=tuple(_planned(laid, way) for way in routes),
        to_bore=to_bore(wall, holes, in_plates, words),
        needed=needed(wall, routes, holes, findings, words),
        order=order_of_work(),
        findings=gravest_first(findings),
    )


@dataclass(frozen=True, slots=True)
class LaidWall:
    """A wall with the ways of its feeds, before a pipe is planned: the name of its bender, how far
    a connector takes pipe in beyond its face, what is drawn into its feeds, the knockouts that they
    leave by, and what is wrong so far."""

    wall: FramedWall
    bender: str
    taken_in: float
    words: LengthFormatter
    wires: Mapping[int, tuple[Conductor, ...]]
    knockouts: Leavings
    routes: tuple[Route, ...]
    findings: tuple[Finding, ...]


def lay_wall(document: object) -> LaidWall:
    """A framed wall with the way of every feed.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError, as wall_document.
    """
    shape = read_shape(document)
    wall = read_wall(shape)
    words = LengthFormatter(wall.unit, STEPS[wall.unit][USUAL_STEP[wall.unit]])
    setup = read_run(_run_of(wall, shape["bender"], "", _ANY, ())).setup
    room = _bender_room(wall, setup.bender)
    knockouts = leavings(wall)
    fed = [feed for feed in wall.feeds if feed.start.place != feed.end.place]
    routes = tuple(route(wall, feed, knockouts, room) for feed in fed)
    found = (
        *wall_findings(wall, words),
        *knockout_findings(wall, knockouts, words),
        *route_findings(wall, routes, words),
    )
    return LaidWall(
        wall,
        shape["bender"],
        -pipe_of(setup, None).begins,
        words,
        {feed.number: _wires_of(wall, feed) for feed in fed if feed.wires.strip()},
        knockouts,
        routes,
        found,
    )


_ANY: tuple[Vector, ...] = ((0.0, 0.0, 0.0), (100.0, 0.0, 0.0))


def _bender_room(wall: FramedWall, bender: Bender) -> BenderRoom:
    coupling = couplings()[usual_coupling(wall.conduit)].on(wall.conduit, wall.unit)
    reach, kick = reach_of(bender), _KICK * bender.radius
    driver = convert_length(toml("framing")["screw_room_mm"], "mm", wall.unit)
    return BenderRoom(
        radius=bender.radius,
        end=reach + kick,
        square=reach + bender.radius + kick,
        beside=max(reach, coupling.takes) + coupling.open / 2,
        kick=kick,
        leans=2 * _KICK,
        coupling=coupling.length + 2 * driver,
    )


def _wires_of(wall: FramedWall, feed: Feed) -> tuple[Conductor, ...]:
    """What is drawn into a feed. Raises: DocumentError, where that can't be read."""
    run = {
        "format": "yarrow.run/1",
        "units": wall.unit,
        "conduit": {"type": wall.conduit.type, "size": wall.conduit.size},
        "bender": {"kind": "hand", "radius": 100, "take_up": 150},
        "wires": {"typed": feed.wires},
        "path": [list(point) for point in _ANY],
    }
    try:
        wires = read_run(run).setup.wires
    except DocumentError as refusal:
        raise DocumentError(f"feeds[{feed.number}].wires", refusal.expected) from None
    return wires.conductors if wires else ()


def _run_of(
    wall: FramedWall,
    bender: str,
    name: str,
    vertices: Sequence[Vector],
    joints: Sequence[dict[str, Any]],
    wires: str = "",
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
        **({"wires": {"typed": wires}} if wires.strip() else {}),
    }


def run_of_route(laid: LaidWall, way: Route) -> dict[str, Any]:
    """A feed as a ``yarrow.run/1``.

    Args: laid, its wall; way, its own.
    """
    feed = way.feed
    name = f"{laid.wall.name_of(feed.start)} to {laid.wall.name_of(feed.end)}"
    joints = [{"leg": each.leg, "at": round(each.at, 6), "from": "centre"} for each in way.joints]
    pipe = _whole_pipe(laid, way)
    return _run_of(laid.wall, laid.bender, name, pipe, joints, feed.wires)


def _planned(laid: LaidWall, way: Route) -> PlannedFeed:
    wall, feed, words = laid.wall, way.feed, laid.words
    start, end = wall.name_of(feed.start), wall.name_of(feed.end)
    run = run_of_route(laid, way)
    made, findings = _pieces_of(json.dumps({**run, "name": ""}))
    pieces = tuple(
        WallPiece(number, each.cut_text, each.marks, each.bends, turn.turn, turn.how)
        for number, (each, turn) in enumerate(zip(made, goes_in(way), strict=False), 1)
    )
    kicks = [degrees(each.kick) for each in way.approaches if each.kick]
    slid = min((each.longest for each in way.stretches if each.members), default=None)
    return PlannedFeed(
        number=feed.number,
        key=feed.key,
        start=start,
        end=end,
        line=way.line.name if way.line else "",
        from_knockout=_knockout(laid, feed, feed.start),
        to_knockout=_knockout(laid, feed, feed.end),
        path=way.vertices,
        kick_text=" and ".join(dict.fromkeys(kicks)),
        studs=tuple(stud.number for member in way.members for stud in member.studs if stud.number),
        joints=tuple(
            (each.along, -way.line.setback, way.line.height) for each in way.joints if way.line
        ),
        longest_slid=words.reading(words.down(slid)) if slid is not None else "",
        run=run,
        pieces=pieces,
        findings=findings,
    )


def _whole_pipe(laid: LaidWall, way: Route) -> tuple[Vector, ...]:
    """A route's vertices, with what goes beyond the face of a connector at its ends."""
    first, *inner, last = way.folded
    if laid.wall.box_of(way.feed.start):
        first = along(first, unit(subtract(first, way.folded[1])), laid.taken_in)
    if laid.wall.box_of(way.feed.end):
        last = along(last, unit(subtract(last, way.folded[-2])), laid.taken_in)
    return (first, *inner, last)


def _knockout(laid: LaidWall, feed: Feed, end: FeedEnd) -> str:
    found = laid.knockouts.get((end.place, feed.number))
    return found.name if found else ""


@dataclass(frozen=True, slots=True)
class _Made:
    """A piece as it is made, whichever feed's it is."""

    cut_text: str
    marks: tuple[str, ...]
    bends: int


@lru_cache(maxsize=1000)
def _pieces_of(run: str) -> tuple[tuple[_Made, ...], tuple[Finding, ...]]:
    """The pieces of a feed's run, and what is wrong with it. A feed that is as another, or as it
    was, is planned once: its run lies from its own knockout."""
    plans, wrong = piece_plans(read_run(json.loads(run)))
    made = tuple(
        _Made(
            plan.cut_length_text,
            tuple(mark.text for mark in plan.working_marks),
            len(plan.bends),
        )
        for plan in map(write_plan, plans)
    )
    told = (each for each in gravest_first(wrong) if each.level != "note")
    return made, tuple(told)


def _placed_box(box: WallBox, words: LengthFormatter, volume: str) -> PlacedBox:
    side = Phrase(f"wall/{box.side}")
    on = Phrase("wall/on-stud", {"side": side, "number": count(box.stud)})
    return PlacedBox(
        name=box.name,
        stud=box.stud,
        side=box.side,
        begins=box.begins,
        ends=box.ends,
        bottom=box.bottom,
        top=box.top,
        knockout=box.middle,
        top_text=words.reading(box.top),
        proud_text=words.reading(box.proud),
        on=on if box.stud else Phrase("wall/on-frame", {"side": side}),
        knockouts=box.kind.knockouts if box.kind else (),
        volume_text=volume,
    )
