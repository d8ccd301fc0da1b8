"""A framed wall planned: its boxes, holes, runs and lists."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import field
from functools import lru_cache
from typing import Any

from yarrow.fill.boxes import BoxResult
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding, gravest_first
from yarrow.pieces.pieces import piece_plans
from yarrow.runs.model.run import Survey
from yarrow.runs.written_plan import write_plan
from yarrow.values import dataclass
from yarrow.walls.laying import LaidWall, survey_of_feed
from yarrow.walls.lists import holes_of, needed, order_of_work, plate_holes_of, to_bore
from yarrow.walls.pieces_in import insertion_order
from yarrow.walls.routes import Route
from yarrow.walls.volume import volume_of
from yarrow.walls.wall import Feed, FeedEnd, FramedWall, WallBox
from yarrow.walls.wall_plan import (
    FoundInBrief,
    PlacedBox,
    PlacedLine,
    PlannedFeed,
    WallPiece,
    WallPlan,
)
from yarrow.wording.phrase import AngleReading, FigureReading, Phrase, Shown, Value, count

FORMAT = "yarrow.wall-plan/1"


def plan_wall(laid: LaidWall, runs: Sequence[Mapping[str, Any]]) -> WallPlan:
    """A framed wall with its runs, its holes and its lists.

    Args:
        laid: the wall with the ways of its feeds.
        runs: each feed as a ``yarrow.run/1``, in the order of those ways: they go with the plan.

    Returns:
        ``yarrow.wall-plan/1``, lengths in the wall's unit.

    Source:
        docs/pieces-and-walls.md, framed walls.
    """
    wall, words, routes = laid.wall, laid.wall.lengths, laid.routes
    holes, in_plates = holes_of(wall, routes), plate_holes_of(wall, routes)
    conductors = laid.to_lay.conductors
    volumes = [volume_of(wall, number, conductors) for number in range(len(wall.boxes))]
    findings = [*laid.findings, *_too_full(wall, volumes)]
    feeds = tuple(
        _planned_feed(laid, way, dict(run)) for way, run in zip(routes, runs, strict=True)
    )
    return WallPlan(
        format=FORMAT,
        units=wall.unit,
        name=wall.name,
        length=wall.length,
        height=wall.height,
        plates=wall.plates,
        studs=wall.studs.all,
        openings=wall.openings,
        corners=tuple(corner.at for corner in wall.corners),
        boxes=tuple(
            _placed_box(wall, box, volume) for box, volume in zip(wall.boxes, volumes, strict=True)
        ),
        lines=tuple(
            PlacedLine(line.name, line.height, words.reading(line.height)) for line in wall.lines
        ),
        holes=holes,
        plate_holes=in_plates,
        feeds=feeds,
        to_bore=to_bore(wall, holes, in_plates),
        needed=needed(wall, feeds, routes, holes, findings),
        order=order_of_work(),
        findings=gravest_first(findings),
    )


def _too_full(wall: FramedWall, volumes: Sequence[BoxResult | None]) -> list[Finding]:
    findings = []
    for number, volume in enumerate(volumes):
        if volume and not volume.passes:
            values: dict[str, Value] = {
                "box": wall.boxes[number].name,
                "needed": f"{volume.needed:g}",
                "volume": f"{volume.volume:g}",
            }
            code, path = FindingCode.BOX_OF_WALL_TOO_FULL, f"boxes[{number}]"
            findings.append(Finding(code, values, path=path, source=volume.rule.written))
    return findings


def _planned_feed(laid: LaidWall, way: Route, run: dict[str, Any]) -> PlannedFeed:
    wall, feed, words = laid.wall, way.feed, laid.wall.lengths
    survey = survey_of_feed(laid, way, run["path"])
    setup = survey.setup
    said = (laid.to_lay.known_by, setup.path, setup.joints, feed.wires.strip())
    made, findings = _pieces_of(_FeedToPlan(said, survey))
    turns = insertion_order(way, len(made))
    pieces = tuple(
        WallPiece(
            number,
            piece.cut_text,
            piece.marks,
            piece.found,
            piece.bends,
            turn.turn,
            turn.how,
        )
        for number, (piece, turn) in enumerate(zip(made, turns, strict=True), 1)
    )
    kicks = dict.fromkeys(
        AngleReading(round(approach.kick, 2)) for approach in way.approaches if approach.kick
    )
    slid = min((stretch.longest for stretch in way.stretches if stretch.members), default=None)
    return PlannedFeed(
        number=feed.number,
        key=feed.key,
        start=wall.name_of(feed.start),
        end=wall.name_of(feed.end),
        line=way.line.name if way.line else "",
        from_knockout=_knockout(laid, feed, feed.start),
        to_knockout=_knockout(laid, feed, feed.end),
        path=way.vertices,
        kick_text=Phrase("wall/kicks", {"kicks": tuple(kicks)}) if kicks else "",
        studs=tuple(stud.number for member in way.members for stud in member.studs if stud.number),
        joints=tuple(
            (joint.along, -way.line.setback, way.line.height) for joint in way.joints if way.line
        ),
        longest_slid=words.reading(words.down(slid)) if slid is not None else "",
        run=run,
        pieces=pieces,
        findings=findings,
    )


def _knockout(laid: LaidWall, feed: Feed, end: FeedEnd) -> str:
    exit_ = laid.knockouts.get((end.place, feed.number))
    return exit_.name if exit_ else ""


@dataclass(frozen=True, slots=True)
class _Made:
    """A piece as it is made, whichever feed's it is."""

    cut_text: Shown
    marks: tuple[Shown, ...]
    found: tuple[FoundInBrief, ...]
    bends: int


@dataclass(frozen=True, slots=True)
class _FeedToPlan:
    """A feed's run, known by all that it is made from."""

    said: tuple[object, ...]
    survey: Survey = field(compare=False)


@lru_cache(maxsize=1000)
def _pieces_of(feed: _FeedToPlan) -> tuple[tuple[_Made, ...], tuple[Finding, ...]]:
    """The pieces of a feed's run, and what is wrong with it. A feed that is as another, or as it
    was, is planned once: its run lies from its own knockout."""
    plans, wrong = piece_plans(feed.survey)
    made = tuple(
        _Made(
            plan.cut_length_text,
            tuple(mark.text for mark in plan.working_marks),
            tuple(
                FoundInBrief(row.at_mark_text, row.where)
                for row in plan.finding_marks
                if row.bend is not None and plan.marking == "as-you-go" and plan.can_be_made
            ),
            len(plan.bends),
        )
        for plan in map(write_plan, plans)
    )
    worst = (finding for finding in gravest_first(wrong) if finding.level != "note")
    return made, tuple(worst)


def _volume_wanted(box: BoxResult) -> Phrase:
    """What the feeds want of a box's volume."""
    values = {"needed": FigureReading(box.needed), "volume": FigureReading(box.volume)}
    return Phrase("wall/volume", values)


def _placed_box(wall: FramedWall, box: WallBox, volume: BoxResult | None) -> PlacedBox:
    words = wall.lengths
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
        volume_text=_volume_wanted(volume) if volume else "",
    )
