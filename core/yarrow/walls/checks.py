"""What is wrong with a wall before anything is bored."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from itertools import combinations, pairwise

from yarrow.catalog.reading import toml
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.geometry.sweeping import Rod
from yarrow.measure.units import convert_length
from yarrow.walls.knockouts import Leavings, too_close
from yarrow.walls.routes import Route
from yarrow.walls.studs import BoredThrough
from yarrow.walls.wall import Feed, FramedWall, WallBox
from yarrow.wording.lengths import LengthFormatter
from yarrow.wording.phrase import Phrase, Value, count


def wall_findings(wall: FramedWall, words: LengthFormatter) -> list[Finding]:
    """What is wrong with its boxes, its holes and its feeds by themselves.

    Args:
        wall: as it was read.
        words: how it tells its lengths.
    """
    return [
        *_studs(wall, words),
        *_boxes(wall, words),
        *_bits(wall, words),
        *_feeds(wall),
    ]


def _studs(wall: FramedWall, words: LengthFormatter) -> list[Finding]:
    """Studs so near to each other that no bit goes between them."""
    bit = max((line.bit for line in wall.lines), default=0.0)
    spaced = [stud for stud in wall.studs.each if stud.number]
    found = []
    for one, other in pairwise(spaced):
        apart = other.begins - one.ends
        if other.number == one.number + 1 and apart < bit:
            values: dict[str, Value] = {
                "one": count(one.number),
                "other": count(other.number),
                "apart": words.available(max(apart, 0.0)),
                "bit": words.measured(bit),
            }
            found.append(Finding(FindingCode.STUDS_TOO_CLOSE, values, path="studs"))
    return found[:1]


def _boxes(wall: FramedWall, words: LengthFormatter) -> list[Finding]:
    found = []
    floor, ceiling = wall.upright
    for number, box in enumerate(wall.boxes):
        over = max(box.top - ceiling, floor - box.bottom)
        begins, ends = box.begins, box.ends
        low, high = wall.studs.bay(box.middle, (box.bottom + box.top) / 2)
        if over > 0 or begins < 0 or ends > wall.length:
            values: dict[str, Value] = {"box": box.name, "by": words.needed(max(over, 0.0))}
            code = FindingCode.BOX_BEYOND_THE_WALL
            found.append(Finding(code, values, path=f"boxes[{number}].height"))
        elif begins < low - 1e-6 or ends > high + 1e-6:
            room: dict[str, Value] = {"box": box.name, "room": words.available(high - low)}
            code = FindingCode.BOX_WIDER_THAN_ITS_BAY
            found.append(Finding(code, room, path=f"boxes[{number}].width"))
        elif not any(
            min(abs(box.face - stud.begins), abs(box.face - stud.ends)) < 1e-6
            and stud.stands_at(box.bottom)
            and stud.stands_at(box.top)
            for stud in wall.studs.each
        ):
            named: dict[str, Value] = {"box": box.name}
            found.append(Finding(FindingCode.BOX_WITHOUT_A_STUD, named, path=f"boxes[{number}]"))
    for (_, box), (at, other) in combinations(enumerate(wall.boxes), 2):
        level = box.bottom < other.top and other.bottom < box.top
        if level and box.begins < other.ends and other.begins < box.ends:
            names: dict[str, Value] = {"one": box.name, "other": other.name}
            found.append(Finding(FindingCode.BOXES_OVERLAP, names, path=f"boxes[{at}].height"))
    return found


def _bits(wall: FramedWall, words: LengthFormatter) -> list[Finding]:
    """Bits, edges and how much of a stud may be bored away."""
    rules, found = toml("framing"), []
    for number, line in enumerate(wall.lines):
        path = f"lines[{number}]"
        values: dict[str, Value] = {"line": line.name, "bit": words.measured(line.bit)}
        if line.bit <= wall.diameter:
            values["pipe"] = words.measured(wall.diameter)
            found.append(Finding(FindingCode.BIT_TOO_SMALL, values, path=f"{path}.bit"))
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
            found.append(Finding(code, values, path=f"{path}.bit", source=rules["bored_source"]))
        elif edge < plate - 1e-6 and wall.conduit.unit == "in":
            values |= {"edge": words.available(edge), "least": words.needed(plate)}
            code = FindingCode.HOLE_NEAR_EDGE
            exempt = wall.conduit.type in rules["plate_exempt"]
            found.append(
                Finding(
                    code,
                    values,
                    path=f"{path}.setback",
                    source=rules["plate_source"],
                    variant="habit" if exempt else "",
                )
            )
    return found


def _feeds(wall: FramedWall) -> list[Finding]:
    """Feeds from a box to itself, and those that come round to where they began."""
    found = []
    fed_by: dict[int, int] = {}
    for number, feed in enumerate(wall.feeds):
        names: dict[str, Value] = {
            "one": wall.name_of(feed.start),
            "other": wall.name_of(feed.end),
        }
        path = f"feeds[{number}]"
        start, end = feed.start.place, feed.end.place
        if start == end:
            found.append(Finding(FindingCode.FEED_TO_ITSELF, names, path=f"{path}.to"))
            continue
        at: int | None = start
        while at is not None and at != end:
            at = fed_by.get(at)
        if at is not None or end in fed_by:
            found.append(Finding(FindingCode.FEED_LOOP, names, path=f"{path}.to"))
            continue
        fed_by[end] = start
    return found


def knockout_findings(
    wall: FramedWall, knockouts: Leavings, words: LengthFormatter
) -> list[Finding]:
    """Knockouts whose lock rings meet, and those that a device hides.

    Args:
        wall: as it was read.
        knockouts: that its feeds leave boxes by.
        words: how it tells its lengths.
    """
    found = []
    for number, box in enumerate(wall.boxes):
        here = [each for (at, _), each in knockouts.items() if at == number]
        room = too_close(wall, number, knockouts)
        if room is not None:
            many: dict[str, Value] = {
                "box": box.name,
                "pipes": count(len(here)),
                "needed": words.needed(wall.apart),
                "room": words.available(room),
            }
            code = FindingCode.KNOCKOUTS_TOO_CLOSE
            found.append(Finding(code, many, path=f"boxes[{number}].width"))
        hidden = {f"{edge} {name}" for edge in ("left", "right") for name in _screws(box)}
        for each in here:
            if each.name in hidden and box.devices:
                values: dict[str, Value] = {"box": box.name, "knockout": each.name}
                path = f"feeds[{each.feed}]"
                found.append(Finding(FindingCode.KNOCKOUT_BEHIND_SCREWS, values, path=path))
            if each.edge == ("left" if box.side == "right" else "right"):
                blocked: dict[str, Value] = {"box": box.name, "knockout": each.name}
                path = f"feeds[{each.feed}]"
                found.append(Finding(FindingCode.KNOCKOUT_AGAINST_STUD, blocked, path=path))
    return found


def _screws(box: WallBox) -> Sequence[str]:
    return box.kind.screws if box.kind else ()


def route_findings(
    wall: FramedWall, routes: Sequence[Route], words: LengthFormatter
) -> list[Finding]:
    """What is wrong with the ways of its feeds: holes too near a box for the bend, bends in holes,
    openings in the way, and holes that two pipes want.

    Args:
        wall: as it was read.
        routes: of its feeds.
        words: how it tells its lengths.
    """
    found = []
    for way in routes:
        found += _rises(wall, way, words)
        found += _bent_or_blocked(wall, way)
        found += _sliding(wall, way, words)
        found += _plates(wall, way, words)
    found += _crossings(wall, routes)
    wanted = Counter((way.feed.line, member) for way in routes for member in way.members)
    for (at, member), pipes in wanted.items():
        if pipes > 1:
            shared: dict[str, Value] = {
                "line": wall.lines[at].name,
                "stud": name_of_member(member),
                "pipes": count(pipes),
            }
            found.append(Finding(FindingCode.HOLE_SHARED, shared, path=f"lines[{at}]"))
    return found


def name_of_member(member: BoredThrough) -> Phrase:
    """What is bored through, as it is called: a stud by its number, or an opening's frame.

    Args:
        member: of a wall.
    """
    number = next((stud.number for stud in member.studs if stud.number), 0)
    return Phrase("wall/stud", {"number": count(number)}) if number else Phrase("wall/frame")


def _crossings(wall: FramedWall, routes: Sequence[Route]) -> list[Finding]:
    """Pipes that lie across each other, nearer than they are thick."""
    rods = [(way, [Rod(one, other) for one, other in pairwise(way.vertices)]) for way in routes]
    found = []
    for (one, these), (other, those) in combinations(rods, 2):
        if any(_meets(a, b, wall.diameter) for a in these for b in those):
            values: dict[str, Value] = {
                "one": _name_of_feed(wall, one.feed),
                "other": _name_of_feed(wall, other.feed),
            }
            path = f"feeds[{other.feed.number}].line"
            found.append(Finding(FindingCode.PIPES_CROSS, values, path=path))
    return found


def _meets(one: Rod, other: Rod, apart: float) -> bool:
    """Whether two pipes come nearer than ``apart``; most are seen to be clear along one axis."""
    for axis in range(3):
        low, high = sorted((one.begins[axis], one.ends[axis]))
        under, over = sorted((other.begins[axis], other.ends[axis]))
        if low - over > apart or under - high > apart:
            return False
    return one.nearest(other) < apart - 1e-6


def _name_of_feed(wall: FramedWall, feed: Feed) -> Phrase:
    values: dict[str, Value] = {
        "one": wall.name_of(feed.start),
        "other": wall.name_of(feed.end),
    }
    return Phrase("wall/feed", values)


def _names(wall: FramedWall, way: Route) -> dict[str, Value]:
    feed = way.feed
    return {"one": wall.name_of(feed.start), "other": wall.name_of(feed.end)}


def _rises(wall: FramedWall, way: Route, words: LengthFormatter) -> list[Finding]:
    found = []
    for end, each in zip(way.feed.ends, way.approaches, strict=False):
        box = wall.box_of(end)
        if box and way.line and each.rise < each.least - 1e-6:
            up = way.line.height > each.vertices[0][2]
            values: dict[str, Value] = {
                "line": way.line.name,
                "box": box.name,
                "rise": words.available(each.rise),
                "least": words.needed(each.least),
                "height": words.needed(each.vertices[0][2] + (1 if up else -1) * each.least),
            }
            path = f"lines[{way.feed.line}].height"
            variant = "" if up else "under"
            found.append(Finding(FindingCode.HOLE_TOO_LOW, values, path=path, variant=variant))
    return found


def _bent_or_blocked(wall: FramedWall, way: Route) -> list[Finding]:
    """Studs that a bend would lie in, and openings that the pipe would cross."""
    found = []
    path = f"feeds[{way.feed.number}]"
    for member in way.bent_in:
        values = {**_names(wall, way), "stud": name_of_member(member)}
        found.append(Finding(FindingCode.BEND_IN_A_HOLE, values, path=path))
    for opening in wall.openings:
        legs = pairwise(way.vertices)
        if any(opening.meets(one, other) for one, other in legs):
            values = {**_names(wall, way), "opening": opening.name}
            found.append(Finding(FindingCode.THROUGH_AN_OPENING, values, path=path))
    return found


def _plates(wall: FramedWall, way: Route, words: LengthFormatter) -> list[Finding]:
    """Ways out of the wall that come down on a stud."""
    found = []
    path = f"feeds[{way.feed.number}].to"
    for hole in way.plate_holes:
        level = wall.upright[1 if hole.out.plate == "top" else 0]
        half = wall.diameter / 2
        for member in wall.studs.members(level):
            if member.begins - half < hole.along < member.ends + half:
                values: dict[str, Value] = {
                    "out": hole.out.name,
                    "along": words.measured(hole.along),
                    "stud": name_of_member(member),
                }
                found.append(Finding(FindingCode.WAY_OUT_IN_A_STUD, values, path=path))
    return found


def _sliding(wall: FramedWall, way: Route, words: LengthFormatter) -> list[Finding]:
    """Pieces that do not go into their holes from a bay."""
    path = f"feeds[{way.feed.number}]"
    found = []
    for at, each in enumerate(way.stretches):
        joints = [joint.along for joint in way.joints_on(at)]
        if not each.members:
            continue
        if not joints:
            code = FindingCode.CANNOT_BE_SLID
            found.append(Finding(code, _names(wall, way), path=path, variant="both-bent"))
            continue
        places = [each.begins, *joints, each.ends]
        before = sum(len(way.joints_on(earlier)) for earlier in range(at))
        for piece, (one, other) in enumerate(pairwise(places)):
            most = each.longest
            if piece == 0:
                most = each.first
            elif piece == len(places) - 2:
                most = each.last
            if abs(other - one) > most + 1e-6:
                values = {
                    **_names(wall, way),
                    "piece": count(before + piece + 1),
                    "length": words.measured(abs(other - one)),
                    "longest": words.available(most),
                }
                found.append(Finding(FindingCode.CANNOT_BE_SLID, values, path=path))
    return found
