"""What a wall comes to: holes to bore, what is needed of each thing, and what is done when."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence

from yarrow.catalog.supports import support_rule
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.walls.routes import Route
from yarrow.walls.wall import FramedWall
from yarrow.walls.wall_plan import BoredHole, Needed, PlannedFeed, PlateHoleBored, ToBore
from yarrow.wording.phrase import Phrase

ORDER = ("boxes", "connectors", "holes", "pipe", "straps")
"""All boxes first, then all connectors, all holes, and the pipe: so nothing is bored twice."""


def holes_of(wall: FramedWall, routes: Sequence[Route]) -> tuple[BoredHole, ...]:
    """The holes through studs, line by line from the left.

    Args:
        wall: as it was read.
        routes: of its feeds.
    """
    words = wall.lengths
    through: dict[tuple[int, float], list[int]] = {}
    members = {}
    for way in routes:
        for member in way.members:
            through.setdefault((way.feed.line, member.begins), []).append(way.feed.number)
            members[way.feed.line, member.begins] = member
    bored_holes = []
    for (line, begins), feeds in sorted(through.items()):
        member, bored = members[line, begins], wall.lines[line]
        bored_holes.append(
            BoredHole(
                stud=next((stud.number for stud in member.studs if stud.number), 0),
                line=bored.name,
                along=(member.begins + member.ends) / 2,
                height=bored.height,
                height_text=words.reading(bored.height),
                bit=bored.bit,
                bit_text=words.reading(bored.bit),
                feeds=tuple(feeds),
            )
        )
    return tuple(bored_holes)


def plate_holes_of(wall: FramedWall, routes: Sequence[Route]) -> tuple[PlateHoleBored, ...]:
    """The holes through plates, in order of the feeds.

    Args:
        routes: of the wall's feeds.
    """
    words = wall.lengths
    return tuple(
        PlateHoleBored(
            feed=way.feed.number,
            plate=hole.out.plate,
            along=hole.along,
            along_text=words.reading(hole.along),
            deep_text=words.reading(hole.deep),
        )
        for way in routes
        for hole in way.plate_holes
    )


def to_bore(
    wall: FramedWall,
    holes: Sequence[BoredHole],
    through_plates: Sequence[PlateHoleBored],
) -> tuple[ToBore, ...]:
    """Holes that are bored alike, counted; a plate's with the bit of its feed's line.

    Args:
        wall: as it was read.
        holes, through_plates: all of them.
    """
    words = wall.lengths
    bored = Counter((hole.bit_text, hole.height_text, "") for hole in holes)
    for plate in through_plates:
        bit = wall.lines[wall.feeds[plate.feed].line].bit
        bored[words.reading(bit), "", plate.plate] += 1
    return tuple(ToBore(*alike, count) for alike, count in bored.items())


def needed(
    wall: FramedWall,
    feeds: Sequence[PlannedFeed],
    routes: Sequence[Route],
    holes: Sequence[BoredHole],
    findings: Sequence[Finding],
) -> tuple[Needed, ...]:
    """Connectors, couplings, straps, and the steel plates that are asked for, or are habit.

    Args:
        wall: as it was read.
        feeds: with their pieces.
        routes: of its feeds.
        holes: through studs.
        findings: of the wall, which say where plates are asked for.
    """
    words = wall.lengths
    ends = sum(wall.box_of(end) is not None for way in routes for end in way.feed.ends)
    outs = sum(len(way.plate_holes) for way in routes)
    first = words.available(support_rule(wall.conduit, wall.unit).first)
    result = [
        Needed(Phrase("wall/connectors"), ends),
        # What goes out through a plate is joined to what comes there.
        Needed(Phrase("wall/couplings"), sum(len(feed.pieces) - 1 for feed in feeds) + outs),
        Needed(Phrase("wall/straps", {"first": first}), ends),
    ]
    for variant in ("", "habit"):
        lines = {
            finding.values["line"]
            for finding in findings
            if finding.code == FindingCode.HOLE_NEAR_EDGE and finding.variant == variant
        }
        plates = sum(hole.line in lines for hole in holes)
        if plates:
            key = "wall/steel-plates-habit" if variant else "wall/steel-plates"
            result.append(Needed(Phrase(key), plates))
    return tuple(result)


def order_of_work() -> tuple[Phrase, ...]:
    """What is done when, on any wall.

    Source:
        docs/pieces-and-walls.md, framed walls; the habit of crews who rough in.
    """
    return tuple(Phrase(f"wall/order-{part}") for part in ORDER)
