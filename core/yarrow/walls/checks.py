"""What is wrong with a wall before anything is bored."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from itertools import combinations, pairwise

from yarrow.catalog.reading import toml
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.measure.units import convert_length
from yarrow.walls.routes import Route, rise_to_line
from yarrow.walls.sliding import slid_on
from yarrow.walls.wall import FramedWall
from yarrow.wording.lengths import LengthFormatter
from yarrow.wording.phrase import Value, count


def wall_findings(wall: FramedWall, words: LengthFormatter) -> list[Finding]:
    """What is wrong with its boxes, its holes and its feeds by themselves.

    Args:
        wall: as it was read.
        words: how it tells its lengths.
    """
    return [*_boxes(wall, words), *_bits(wall, words), *_feeds(wall)]


def _boxes(wall: FramedWall, words: LengthFormatter) -> list[Finding]:
    found = []
    ceiling = wall.height - wall.plates[1]
    for number, box in enumerate(wall.boxes):
        over = max(box.top - ceiling, wall.plates[0] - box.bottom)
        begins, ends = wall.extent(box)
        low, high = wall.studs.bay((begins + ends) / 2)
        if over > 0 or begins < 0 or ends > wall.length:
            values: dict[str, Value] = {"box": box.name, "by": words.needed(max(over, 0.0))}
            code = FindingCode.BOX_BEYOND_THE_WALL
            found.append(Finding(code, values, path=f"boxes[{number}].height"))
        elif begins < low - 1e-6 or ends > high + 1e-6:
            room: dict[str, Value] = {"box": box.name, "room": words.available(high - low)}
            code = FindingCode.BOX_WIDER_THAN_ITS_BAY
            found.append(Finding(code, room, path=f"boxes[{number}].width"))
    for number, box in enumerate(wall.boxes):
        pipes = len(wall.pipes_of(number))
        if pipes > 1 and pipes * wall.apart > box.width + 1e-6:
            many: dict[str, Value] = {
                "box": box.name,
                "pipes": count(pipes),
                "needed": words.needed(pipes * wall.apart),
                "width": words.measured(box.width),
            }
            code = FindingCode.KNOCKOUTS_TOO_CLOSE
            found.append(Finding(code, many, path=f"boxes[{number}].width"))
    for (_, box), (at, other) in combinations(enumerate(wall.boxes), 2):
        (begins, ends), (low, high) = wall.extent(box), wall.extent(other)
        if begins < high and low < ends and box.bottom < other.top and other.bottom < box.top:
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
            "one": wall.boxes[feed.start].name,
            "other": wall.boxes[feed.end].name,
        }
        path = f"feeds[{number}]"
        if feed.start == feed.end:
            found.append(Finding(FindingCode.FEED_TO_ITSELF, names, path=f"{path}.to"))
            continue
        at: int | None = feed.start
        while at is not None and at != feed.end:
            at = fed_by.get(at)
        if at is not None or feed.end in fed_by:
            found.append(Finding(FindingCode.FEED_LOOP, names, path=f"{path}.to"))
            continue
        fed_by[feed.end] = feed.start
    return found


def route_findings(
    wall: FramedWall, routes: Sequence[Route], least: float, words: LengthFormatter
) -> list[Finding]:
    """What is wrong with the ways of its feeds: holes too near a box for the bend, and holes that
    two pipes want.

    Args:
        wall: as it was read.
        routes: of its feeds.
        least: from a knockout to the holes, as the bender wants it, in the wall's unit.
        words: how it tells its lengths.
    """
    found = []
    for way in routes:
        line = wall.lines[way.feed.line]
        for box in (wall.boxes[way.feed.start], wall.boxes[way.feed.end]):
            rise = rise_to_line(box, line)
            if rise < least - 1e-6:
                values: dict[str, Value] = {
                    "line": line.name,
                    "box": box.name,
                    "rise": words.available(max(rise, 0.0)),
                    "least": words.needed(least),
                    "height": words.needed(box.top + least),
                }
                path = f"lines[{way.feed.line}].height"
                found.append(Finding(FindingCode.HOLE_TOO_LOW, values, path=path))
        found += _sliding(wall, way, words)
    wanted = Counter((way.feed.line, stud) for way in routes for stud in way.studs)
    for (at, stud), pipes in sorted(wanted.items()):
        if pipes > 1:
            shared: dict[str, Value] = {
                "line": wall.lines[at].name,
                "stud": count(stud + 1),
                "pipes": count(pipes),
            }
            found.append(Finding(FindingCode.HOLE_SHARED, shared, path=f"lines[{at}]"))
    return found


def _sliding(wall: FramedWall, way: Route, words: LengthFormatter) -> list[Finding]:
    """Pieces that do not go into their holes from a bay."""
    feed = way.feed
    path = f"feeds[{wall.feeds.index(feed)}]"
    names: dict[str, Value] = {
        "one": wall.boxes[feed.start].name,
        "other": wall.boxes[feed.end].name,
    }
    if not way.studs:
        return []
    if not way.joints:
        code = FindingCode.CANNOT_BE_SLID
        return [Finding(code, names, path=path, variant="both-bent")]
    begins, ends = (wall.knockout_at(number, feed) for number in (feed.start, feed.end))
    most = slid_on(wall, wall.lines[feed.line])
    found = []
    places = (0.0, *way.joints, abs(ends - begins))
    for piece, (low, high) in enumerate(pairwise(places), 1):
        if high - low > most + 1e-6:
            values = {
                **names,
                "piece": count(piece),
                "length": words.measured(high - low),
                "longest": words.available(most),
            }
            found.append(Finding(FindingCode.CANNOT_BE_SLID, values, path=path))
    return found
