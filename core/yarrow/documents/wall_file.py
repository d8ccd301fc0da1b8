"""Planning ``yarrow.wall/1``: its boxes, holes, runs and lists."""

from __future__ import annotations

import json
from dataclasses import dataclass
from functools import lru_cache

from yarrow.documents.run_file import read_run
from yarrow.documents.wall_laying import LaidWall, lay_wall, run_of_route
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first
from yarrow.pieces.pieces import piece_plans
from yarrow.runs.written_plan import write_plan
from yarrow.walls.lists import holes_of, needed, order_of_work, plate_holes_of, to_bore
from yarrow.walls.pieces_in import insertion_order
from yarrow.walls.routes import Route
from yarrow.walls.volume import volume_of
from yarrow.walls.wall import Feed, FeedEnd, WallBox
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
    feeds = tuple(_planned(laid, way) for way in routes)
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
        feeds=feeds,
        to_bore=to_bore(wall, holes, in_plates, words),
        needed=needed(wall, feeds, routes, holes, findings, words),
        order=order_of_work(),
        findings=gravest_first(findings),
    )


def _planned(laid: LaidWall, way: Route) -> PlannedFeed:
    wall, feed, words = laid.wall, way.feed, laid.words
    start, end = wall.name_of(feed.start), wall.name_of(feed.end)
    run = run_of_route(laid, way)
    made, findings = _pieces_of(json.dumps({**run, "name": ""}))
    pieces = tuple(
        WallPiece(number, each.cut_text, each.marks, each.bends, turn.turn, turn.how)
        for number, (each, turn) in enumerate(
            zip(made, insertion_order(way, len(made)), strict=True), 1
        )
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
    worst = (each for each in gravest_first(wrong) if each.level != "note")
    return made, tuple(worst)


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
