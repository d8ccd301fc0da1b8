"""What is wrong with a wall before anything is bored."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from itertools import combinations, pairwise

from yarrow.catalog.reading import toml
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.measure.units import convert_length
from yarrow.walls.knockouts import KnockoutExit, KnockoutExits, too_close
from yarrow.walls.wall import Feed, FramedWall, WallBox
from yarrow.wording.phrase import Value, count


def wall_findings(wall: FramedWall) -> list[Finding]:
    """What is wrong with its boxes, its holes and its feeds by themselves.

    Args:
        wall: as it was read.
    """
    return [
        *_studs(wall),
        *_boxes(wall),
        *_bits(wall),
        *_feeds(wall),
    ]


def _studs(wall: FramedWall) -> list[Finding]:
    """Studs so near to each other that no bit goes between them."""
    words = wall.lengths
    bit = max((line.bit for line in wall.lines), default=0.0)
    spaced = [stud for stud in wall.studs.all if stud.number]
    findings = []
    for one, other in pairwise(spaced):
        apart = other.begins - one.ends
        if other.number == one.number + 1 and apart < bit:
            values: dict[str, Value] = {
                "one": count(one.number),
                "other": count(other.number),
                "apart": words.available(max(apart, 0.0)),
                "bit": words.measured(bit),
            }
            findings.append(Finding(FindingCode.STUDS_TOO_CLOSE, values, path="studs"))
    return findings[:1]


def _boxes(wall: FramedWall) -> list[Finding]:
    words = wall.lengths
    findings = []
    floor, ceiling = wall.upright
    for number, box in enumerate(wall.boxes):
        over = max(box.top - ceiling, floor - box.bottom)
        begins, ends = box.begins, box.ends
        low, high = wall.studs.bay(box.middle, (box.bottom + box.top) / 2)
        if over > 0 or begins < 0 or ends > wall.length:
            values: dict[str, Value] = {"box": box.name, "by": words.needed(max(over, 0.0))}
            code = FindingCode.BOX_BEYOND_THE_WALL
            findings.append(Finding(code, values, path=f"boxes[{number}].height"))
        elif begins < low - 1e-6 or ends > high + 1e-6:
            room: dict[str, Value] = {"box": box.name, "room": words.available(high - low)}
            code = FindingCode.BOX_WIDER_THAN_ITS_BAY
            findings.append(Finding(code, room, path=f"boxes[{number}].width"))
        elif not all(_has_wood_at(wall, box, height) for height in (box.bottom, box.top)):
            named: dict[str, Value] = {"box": box.name}
            findings.append(Finding(FindingCode.BOX_WITHOUT_A_STUD, named, path=f"boxes[{number}]"))
    for (_, box), (at, other) in combinations(enumerate(wall.boxes), 2):
        level = box.bottom < other.top and other.bottom < box.top
        if level and box.begins < other.ends and other.begins < box.ends:
            names: dict[str, Value] = {"one": box.name, "other": other.name}
            findings.append(Finding(FindingCode.BOXES_OVERLAP, names, path=f"boxes[{at}].height"))
    return findings


def _has_wood_at(wall: FramedWall, box: WallBox, height: float) -> bool:
    """Whether there is wood at a height that the box's face is on."""
    return any(abs(box.face - wood) < 1e-6 for wood in wall.studs.bay(box.middle, height))


def _bits(wall: FramedWall) -> list[Finding]:
    """Bits, edges and how much of a stud may be bored away."""
    words = wall.lengths
    rules, findings = toml("framing"), []
    for number, line in enumerate(wall.lines):
        path = f"lines[{number}]"
        values: dict[str, Value] = {"line": line.name, "bit": words.measured(line.bit)}
        if line.bit <= wall.diameter:
            values["pipe"] = words.measured(wall.diameter)
            findings.append(Finding(FindingCode.BIT_TOO_SMALL, values, path=f"{path}.bit"))
            continue
        share = rules["bearing_share" if wall.studs.bearing else "other_share"]
        most = share / 100 * wall.studs.depth
        edge = min(line.setback, wall.studs.depth - line.setback) - line.bit / 2
        left = convert_length(rules["edge_left_mm"], "mm", wall.unit)
        plate = convert_length(rules["plate_edge_mm"], "mm", wall.unit)
        if line.bit > most + 1e-6 or edge < left - 1e-6:
            values |= {"most": words.available(most), "edge": words.available(max(edge, 0.0))}
            values["left"] = words.needed(left)
            code = FindingCode.HOLE_TOO_LARGE
            findings.append(Finding(code, values, path=f"{path}.bit", source=rules["bored_source"]))
        elif edge < plate - 1e-6 and wall.conduit.unit == "in":
            values |= {"edge": words.available(edge), "least": words.needed(plate)}
            code = FindingCode.HOLE_NEAR_EDGE
            exempt = wall.conduit.type in rules["plate_exempt"]
            findings.append(
                Finding(
                    code,
                    values,
                    path=f"{path}.setback",
                    source=rules["plate_source"],
                    variant="habit" if exempt else "",
                )
            )
    return findings


def _feeds(wall: FramedWall) -> list[Finding]:
    """Feeds from a box to itself, and those that come round to where they began."""
    findings = []
    fed_by: dict[int, int] = {}
    for number, feed in enumerate(wall.feeds):
        names: dict[str, Value] = {
            "one": wall.name_of(feed.start),
            "other": wall.name_of(feed.end),
        }
        path = f"feeds[{number}]"
        start, end = feed.start.place, feed.end.place
        if start == end:
            findings.append(Finding(FindingCode.FEED_TO_ITSELF, names, path=f"{path}.to"))
            continue
        at: int | None = start
        while at is not None and at != end:
            at = fed_by.get(at)
        if at is not None or end in fed_by:
            findings.append(Finding(FindingCode.FEED_LOOP, names, path=f"{path}.to"))
            continue
        fed_by[end] = start
    return findings


def knockout_findings(wall: FramedWall, knockouts: KnockoutExits) -> list[Finding]:
    """Knockouts whose lock rings meet, and those that a device hides.

    Args:
        wall: as it was read.
        knockouts: that its feeds leave boxes by.
    """
    words = wall.lengths
    findings = []
    left_by: dict[int, list[KnockoutExit]] = {}
    for (number, _), leaving in knockouts.items():
        left_by.setdefault(number, []).append(leaving)
    for number, here in sorted(left_by.items()):
        box = wall.boxes[number]
        room = too_close(wall, box, here)
        if room is not None:
            many: dict[str, Value] = {
                "box": box.name,
                "pipes": count(len(here)),
                "needed": words.needed(wall.apart),
                "room": words.available(room),
            }
            code = FindingCode.KNOCKOUTS_TOO_CLOSE
            findings.append(Finding(code, many, path=f"boxes[{number}].width"))
        for knockout_exit in here:
            findings += findings_of_leaving(box, knockout_exit)
    return findings


def findings_of_leaving(box: WallBox, leaving: KnockoutExit) -> Iterator[Finding]:
    """What is wrong with a knockout by itself: a device's screws, the stud that the box is on.

    Args:
        box: that a feed leaves.
        leaving: by which knockout.
    """
    values: dict[str, Value] = {"box": box.name, "knockout": leaving.name}
    path = f"feeds[{leaving.feed}]"
    hidden = {f"{edge} {name}" for edge in ("left", "right") for name in _screws(box)}
    if leaving.name in hidden and box.devices:
        yield Finding(FindingCode.KNOCKOUT_BEHIND_SCREWS, values, path=path)
    if leaving.edge == ("left" if box.side == "right" else "right"):
        yield Finding(FindingCode.KNOCKOUT_AGAINST_STUD, values, path=path)


def without_a_knockout(
    wall: FramedWall, without: Sequence[tuple[Feed, WallBox]]
) -> Iterator[Finding]:
    """Feeds that no hole is left for in a box: they have no pipe.

    Args:
        wall: as it was read.
        without: the feeds, each with its box.
    """
    for feed, box in without:
        values: dict[str, Value] = {
            "one": wall.name_of(feed.start),
            "other": wall.name_of(feed.end),
            "box": box.name,
        }
        path = f"feeds[{feed.number}]"
        yield Finding(FindingCode.NO_KNOCKOUT_LEFT, values, path=path)


def _screws(box: WallBox) -> Sequence[str]:
    return box.kind.screws if box.kind else ()
