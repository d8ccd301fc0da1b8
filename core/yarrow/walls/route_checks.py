"""What is wrong with the ways of a wall's feeds: rises, bends in wood, crossings, what is slid."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from itertools import combinations, pairwise

from yarrow.catalog.reading import toml
from yarrow.findings.code import FindingCode
from yarrow.findings.finding import Finding
from yarrow.geometry.rounded_polyline import rounded
from yarrow.geometry.sweeping import Rod
from yarrow.geometry.vectors import Vector
from yarrow.values import dataclass
from yarrow.walls.routes import Route
from yarrow.walls.studs import BoredThrough
from yarrow.walls.wall import Feed, FramedWall
from yarrow.wording.phrase import Phrase, Value, count


def route_findings(wall: FramedWall, routes: Sequence[Route]) -> list[Finding]:
    """What is wrong with the ways of its feeds: holes too near a box for the bend, bends in holes,
    openings in the way, and holes that two pipes want.

    Args:
        wall: as it was read.
        routes: of its feeds.
    """
    findings = [finding for way in routes for finding in findings_of_route(wall, way)]
    findings += _crossings(wall, routes)
    wanted = Counter((way.feed.line, member) for way in routes for member in way.members)
    for (at, member), pipes in wanted.items():
        if pipes > 1:
            shared: dict[str, Value] = {
                "line": wall.lines[at].name,
                "stud": name_of_member(member),
                "pipes": count(pipes),
            }
            findings.append(Finding(FindingCode.HOLE_SHARED, shared, path=f"lines[{at}]"))
    return findings


def findings_of_route(wall: FramedWall, way: Route) -> list[Finding]:
    """What is wrong with the way of one feed by itself.

    Args:
        wall: as it was read.
        way: of the feed.
    """
    return [
        *_rises(wall, way),
        *_bent_or_blocked(wall, way),
        *_sliding(wall, way),
        *_plates(wall, way),
    ]


def name_of_member(member: BoredThrough) -> Phrase:
    """What is bored through, as it is called: a stud by its number, or an opening's frame.

    Args:
        member: of a wall.
    """
    number = next((stud.number for stud in member.studs if stud.number), 0)
    return Phrase("wall/stud", {"number": count(number)}) if number else Phrase("wall/frame")


def _crossings(wall: FramedWall, routes: Sequence[Route]) -> list[Finding]:
    """Pipes that lie across each other, nearer than they are thick."""
    pipes = [Pipework.of(way) for way in routes]
    findings = []
    for one, other in combinations(pipes, 2):
        if one.meets(other, wall.diameter):
            values: dict[str, Value] = {
                "one": _name_of_feed(wall, one.feed),
                "other": _name_of_feed(wall, other.feed),
            }
            path = f"feeds[{other.feed.number}].line"
            findings.append(Finding(FindingCode.PIPES_CROSS, values, path=path))
    return findings


Extent = tuple[Vector, Vector]
"""The least and the greatest of a thing's three coordinates."""


@dataclass(frozen=True, slots=True)
class Pipework:
    """A feed's pipe in the wall laid flat, round in its corners: by straight and by arc, how far
    each reaches and the rods that it is made of."""

    feed: Feed
    extent: Extent
    parts: tuple[tuple[Extent, tuple[Rod, ...]], ...]

    @classmethod
    def of(cls, way: Route) -> Pipework:
        """A route's.

        Args:
            way: of the feed.
        """
        line = rounded(way.vertices, [way.radius] * (len(way.vertices) - 2))
        parts = []
        for segment in line.segments:
            points = segment.points(_CHORDS)
            rods = tuple(Rod(one, other) for one, other in pairwise(points))
            parts.append((_extent(*points), rods))
        return cls(way.feed, _extent(*way.vertices), tuple(parts))

    def meets(self, other: Pipework, apart: float) -> bool:
        """Whether it comes nearer to another than it has to stay off; most are seen to be clear
        along one axis.

        Args:
            other: in the same wall.
            apart: from centreline to centreline, in the wall's unit.
        """
        if _clear(self.extent, other.extent, apart):
            return False
        near = [
            (rods, others)
            for here, rods in self.parts
            for there, others in other.parts
            if not _clear(here, there, apart)
        ]
        # Straights first: most that meet at all meet there.
        near.sort(key=lambda pair: len(pair[0]) * len(pair[1]))
        return any(
            one.nearest(another) < apart - 1e-6
            for rods, others in near
            for one in rods
            for another in others
        )


_CHORDS = 6
"""Of the arc in a corner: of a square one they lie within a hundredth of its radius."""


def _extent(*points: Vector) -> Extent:
    xs, ys, zs = zip(*points, strict=True)
    return (min(xs), min(ys), min(zs)), (max(xs), max(ys), max(zs))


def _clear(one: Extent, other: Extent, apart: float) -> bool:
    ((x, y, z), (far_x, far_y, far_z)), ((u, v, w), (far_u, far_v, far_w)) = one, other
    return (
        x - far_u > apart
        or u - far_x > apart
        or y - far_v > apart
        or v - far_y > apart
        or z - far_w > apart
        or w - far_z > apart
    )


def _name_of_feed(wall: FramedWall, feed: Feed) -> Phrase:
    values: dict[str, Value] = {
        "one": wall.name_of(feed.start),
        "other": wall.name_of(feed.end),
    }
    return Phrase("wall/feed", values)


def _names(wall: FramedWall, way: Route) -> dict[str, Value]:
    feed = way.feed
    return {"one": wall.name_of(feed.start), "other": wall.name_of(feed.end)}


def _rises(wall: FramedWall, way: Route) -> list[Finding]:
    words = wall.lengths
    findings = []
    # One that goes straight out of the wall has none.
    ends = way.feed.ends if way.approaches else ()
    for end, approach in zip(ends, way.approaches, strict=True):
        box = wall.box_of(end)
        if box and way.line and approach.rise < approach.least - 1e-6:
            up = way.line.height > approach.vertices[0][2]
            values: dict[str, Value] = {
                "line": way.line.name,
                "box": box.name,
                "rise": words.available(approach.rise),
                "least": words.needed(approach.least),
                "height": words.needed(
                    approach.vertices[0][2] + (1 if up else -1) * approach.least
                ),
            }
            path = f"lines[{way.feed.line}].height"
            variant = "" if up else "under"
            findings.append(Finding(FindingCode.HOLE_TOO_LOW, values, path=path, variant=variant))
    return findings


def _bent_or_blocked(wall: FramedWall, way: Route) -> list[Finding]:
    """Studs that a bend would lie in, and openings that the pipe would cross."""
    findings = []
    path = f"feeds[{way.feed.number}]"
    for member in way.bent_in:
        values = {**_names(wall, way), "stud": name_of_member(member)}
        findings.append(Finding(FindingCode.BEND_IN_A_HOLE, values, path=path))
    for opening in wall.openings:
        legs = pairwise(way.vertices)
        if any(opening.meets(one, other) for one, other in legs):
            values = {**_names(wall, way), "opening": opening.name}
            findings.append(Finding(FindingCode.THROUGH_AN_OPENING, values, path=path))
    return findings


def _plates(wall: FramedWall, way: Route) -> list[Finding]:
    """Ways out of the wall that come down on a stud."""
    words = wall.lengths
    findings = []
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
                findings.append(Finding(FindingCode.WAY_OUT_IN_A_STUD, values, path=path))
    return findings


def _sliding(wall: FramedWall, way: Route) -> list[Finding]:
    """Pieces that do not go into their holes from a bay."""
    words = wall.lengths
    path = f"feeds[{way.feed.number}]"
    findings = []
    for at, stretch in enumerate(way.stretches):
        joints = [joint.along for joint in way.joints_on(at)]
        if not stretch.members:
            continue
        if not joints:
            code = FindingCode.CANNOT_BE_SLID
            findings.append(Finding(code, _names(wall, way), path=path, variant="both-bent"))
            continue
        places = [stretch.begins, *joints, stretch.ends]
        before = sum(len(way.joints_on(earlier)) for earlier in range(at))
        for piece, (one, other) in enumerate(pairwise(places)):
            most = stretch.longest
            if piece == 0:
                most = stretch.first
            elif piece == len(places) - 2:
                most = stretch.last
            if abs(other - one) > most + 1e-6:
                values = {
                    **_names(wall, way),
                    "piece": count(before + piece + 1),
                    "length": words.measured(abs(other - one)),
                    "longest": words.available(most),
                }
                source = toml("framing")["slid_source"]
                code = FindingCode.CANNOT_BE_SLID
                findings.append(Finding(code, values, path=path, source=source))
    return findings
