"""The way of a feed through a wall: from one box's knockout by a kick to the line of holes, along
it and round corners, and to the other's, or through a plate; and where its pieces are joined, clear
of studs."""

from __future__ import annotations

import math
from itertools import pairwise

from yarrow.catalog.reading import toml
from yarrow.geometry.vectors import Vector
from yarrow.measure import ieee
from yarrow.values import dataclass
from yarrow.walls.knockouts import KnockoutExit, KnockoutExits
from yarrow.walls.sliding import BoredStretch, stretch
from yarrow.walls.studs import BoredThrough
from yarrow.walls.wall import Feed, FeedEnd, FramedWall, HoleLine, WallCorner, WayOut

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class BenderRoom:
    """A bender's ``radius``, and what it leaves of straight: ``end`` from a pipe's end to a kick's
    vertex, ``square`` from a pipe's end to the vertex of a 90, and from there to a kick's;
    ``beside`` a bend to where a coupling may be. ``kick`` is what a kick takes on either side;
    ``leans``, how steeply a drop may lean aside, as a slope; ``coupling``, how much of a bay one
    takes, with a driver for its screws on either side."""

    radius: float
    end: float
    square: float
    beside: float
    kick: float
    leans: float
    coupling: float


@dataclass(frozen=True, slots=True)
class PlacedJoint:
    """A joint: where it is along the wall, the leg of the run that it is on, counted from 1, and
    how far along that."""

    along: float
    leg: int
    at: float


@dataclass(frozen=True, slots=True)
class PlateHole:
    """A hole that a feed goes out of the wall by: where along it, how deep behind its face."""

    out: WayOut
    along: float
    deep: float


@dataclass(frozen=True, slots=True)
class Approach:
    """From an end of a feed to the corner on its line of holes, that last: ``kick``, the angle of
    the kick on the way, degrees (0: none); ``tangent``, from the corner to where its bend is over;
    ``rise``, how far the holes are over (or under) the knockout, and how far they have to be; both
    0 where it comes through a plate."""

    vertices: tuple[Vector, ...]
    kick: float
    tangent: float
    rise: float
    least: float


@dataclass(frozen=True, slots=True)
class BentEnd:
    """Where a stretch along the holes begins or ends at a bend: ``along`` the wall laid flat, how
    much ``further`` the bend's vertex lies, and its ``tangent``."""

    along: float
    further: float
    tangent: float

    @property
    def taken(self) -> float:
        """How much of the stretch its bend takes."""
        return self.tangent - self.further


@dataclass(frozen=True, slots=True)
class Route:
    """A feed's centreline as the wall is laid flat, its vertices with both ends (x along the wall,
    y toward the room, z up), and ``folded`` as it is round the wall's corners; the stretches along
    the holes and the joints there; the holes in plates; what it would be bent in, if anything; the
    ``radius`` of its bends. ``approaches`` are those of both ends, none where it goes along no
    holes."""

    feed: Feed
    line: HoleLine | None
    vertices: tuple[Vector, ...]
    folded: tuple[Vector, ...]
    radius: float
    approaches: tuple[Approach, ...] = ()
    stretches: tuple[BoredStretch, ...] = ()
    joints: tuple[PlacedJoint, ...] = ()
    plate_holes: tuple[PlateHole, ...] = ()
    bent_in: tuple[BoredThrough, ...] = ()

    @property
    def first_leg(self) -> int:
        """The leg that its first stretch along the holes is, counted from 1."""
        return len(self.approaches[0].vertices) if self.approaches else 0

    def joints_on(self, stretch: int) -> tuple[PlacedJoint, ...]:
        """The joints of a stretch, in order.

        Args:
            stretch: counted from 0.
        """
        return tuple(joint for joint in self.joints if joint.leg == self.first_leg + stretch)

    @property
    def members(self) -> tuple[BoredThrough, ...]:
        """All that it is bored through, in its order."""
        return tuple(member for bored in self.stretches for member in bored.members)


def route(wall: FramedWall, feed: Feed, knockouts: KnockoutExits, room: BenderRoom) -> Route:
    """The way of one feed.

    Args:
        wall: with its boxes and lines.
        feed: of it, from one place to another.
        knockouts: that its feeds leave boxes by.
        room: that the bender leaves, in the wall's unit.

    Source:
        docs/pieces-and-walls.md, framed walls.
    """
    if wall.goes_straight(feed):
        return _straight_out(wall, feed, knockouts, room)
    line = wall.lines[feed.line]
    first, last = _approaches(wall, feed, line, knockouts, room)
    begins, ends = first.vertices[-1][0], last.vertices[-1][0]
    turned = [
        corner for corner in wall.corners if min(begins, ends) < corner.at < max(begins, ends)
    ]
    turned.sort(key=lambda corner: corner.at, reverse=begins > ends)
    round_corners = [(corner.at, -line.setback, line.height) for corner in turned]
    vertices = (*first.vertices, *round_corners, *reversed(last.vertices))
    folded = tuple(_fold(wall, vertex) for vertex in vertices)
    bends = [
        BentEnd(begins, 0.0, first.tangent),
        *(BentEnd(corner.at, _further(line, corner), room.radius) for corner in turned),
        BentEnd(ends, 0.0, last.tangent),
    ]
    stretches: list[BoredStretch] = []
    joints: list[PlacedJoint] = []
    bent_in: list[BoredThrough] = []
    for at, (one, other) in enumerate(pairwise(bends)):
        bored = stretch(wall, line, one.along, other.along)
        stretches.append(bored)
        bent_in += _bent_in(bored, one, other)
        leg = len(first.vertices) + at
        for along in _joints(bored, one, other, room, after_corner=at > 0):
            place = math.dist(folded[leg - 1], _fold(wall, (along, -line.setback, line.height)))
            joints.append(PlacedJoint(along, leg, place))
    holes = tuple(
        PlateHole(out, x, line.setback)
        for end, x in zip(feed.ends, (begins, ends), strict=True)
        if (out := wall.way_out_of(end))
    )
    return Route(
        feed,
        line,
        vertices,
        folded,
        room.radius,
        (first, last),
        tuple(stretches),
        tuple(joints),
        holes,
        tuple(bent_in),
    )


def _straight_out(
    wall: FramedWall, feed: Feed, knockouts: KnockoutExits, room: BenderRoom
) -> Route:
    """From a box straight through a plate, which is bored right over its knockout."""
    from_box = wall.box_of(feed.start) is not None
    boxed, other = feed.ends if from_box else feed.ends[::-1]
    out, at = wall.way_out_of(other), knockouts[boxed.place, feed.number].at
    assert out is not None
    ways = (at, (at[0], at[1], _beyond(wall, out)))
    vertices = ways if from_box else ways[::-1]
    folded = tuple(_fold(wall, vertex) for vertex in vertices)
    holes = (PlateHole(out, at[0], -at[1]),)
    return Route(feed, None, vertices, folded, room.radius, plate_holes=holes)


def _beyond(wall: FramedWall, out: WayOut) -> float:
    """How high a pipe ends that goes out through a plate."""
    return wall.height + out.beyond if out.plate == "top" else -out.beyond


def _further(line: HoleLine, corner: WallCorner) -> float:
    """How much further than the corner of the two faces the two lines of holes meet."""
    return line.setback if corner.inside else -line.setback


def _approaches(
    wall: FramedWall, feed: Feed, line: HoleLine, knockouts: KnockoutExits, room: BenderRoom
) -> tuple[Approach, Approach]:
    """Both ends' ways to the line, each leaning aside as far as the stud beside it asks."""
    places = [_begins_at(wall, feed, end, knockouts) for end in feed.ends]
    way = 1.0 if places[1] >= places[0] else -1.0
    approaches = []
    for end, x, toward in zip(feed.ends, places, (way, -way), strict=True):
        out = wall.way_out_of(end)
        if out:
            ends = (x, -line.setback, _beyond(wall, out)), (x, -line.setback, line.height)
            approaches.append(Approach(ends, 0.0, room.radius, 0.0, 0.0))
        else:
            leaving = knockouts[end.place, feed.number]
            approaches.append(_from_knockout(wall, leaving, toward, line, room))
    return approaches[0], approaches[1]


def _begins_at(wall: FramedWall, feed: Feed, end: FeedEnd, knockouts: KnockoutExits) -> float:
    out = wall.way_out_of(end)
    return out.along or 0.0 if out else knockouts[end.place, feed.number].at[0]


def _from_knockout(
    wall: FramedWall, leaving: KnockoutExit, toward: float, line: HoleLine, room: BenderRoom
) -> Approach:
    """Out of a knockout, up or down, straight as far as the bender wants, then leaning to the
    holes' depth; and aside, where the bend on the line would lie in the stud beside the box.

    Args: toward, which way along the wall it goes on the line, 1 or -1.
    """
    x, y, z = leaving.at
    begun, straight = [leaving.at], room.end
    if leaving.edge in ("left", "right"):
        x += leaving.way[0] * room.square
        begun.append((x, y, z))
        straight = room.square
    up = 1.0 if line.height > z else -1.0
    rise, deep = abs(line.height - z), abs(-line.setback - y)
    high = rise - straight
    left, right = wall.studs.bay(x, line.height)
    gap = right - x if toward > 0 else x - left
    aside, tangent, turn = 0.0, room.radius, math.pi / 2
    for _ in range(_LEANS if high > _HAIR else 0):
        # The bend from the leaning pipe to the level one is over a square where it leans away.
        turn = ieee.acos(-aside / math.sqrt(high * high + aside * aside + deep * deep))
        tangent = room.radius * ieee.tan(turn / 2)
        aside = min(max(tangent - gap, 0.0), room.leans * high)
    corner = (x - toward * aside, -line.setback, line.height)
    off = math.hypot(aside, deep)
    least = straight + tangent + room.kick
    leans = math.degrees(ieee.atan2(off, rise))
    if leans <= toml("framing")["leans_degrees"] or high <= _HAIR:
        return Approach((*begun, corner), 0.0, tangent, rise, least)
    kick = (x, y, z + up * straight)
    angle = math.degrees(ieee.atan2(off, high))
    return Approach((*begun, kick, corner), angle, tangent, rise, least)


_LEANS = 12
"""Rounds until how far a pipe leans aside and what its bend takes agree."""


def _bent_in(bored: BoredStretch, one: BentEnd, other: BentEnd) -> tuple[BoredThrough, ...]:
    """What the bends at the ends of a stretch would lie in."""
    way = 1.0 if bored.ends > bored.begins else -1.0
    result = []
    for member in bored.members:
        near, far = (member.begins, member.ends)[:: int(way)]
        before = (near - one.along) * way < one.taken - _HAIR
        after = (other.along - far) * way < other.taken - _HAIR
        if before or after:
            result.append(member)
    return tuple(result)


def _joints(
    bored: BoredStretch, one: BentEnd, other: BentEnd, room: BenderRoom, *, after_corner: bool
) -> tuple[float, ...]:
    """Where along the wall the joints of a stretch lie: in the middle of bays, as near as what is
    bent beside them allows, each piece between two of them as long as can be slid in; none where it
    goes through nothing."""
    if not bored.members:
        return ()
    way = 1.0 if bored.ends > bored.begins else -1.0
    inner = bored.bays[:-1] if after_corner else bored.bays[1:-1]
    half = room.coupling / 2
    ends = sorted(
        (
            bored.begins + way * (one.taken + room.beside),
            bored.ends - way * (other.taken + room.beside),
        )
    )
    free = []
    for bay in inner:
        low, high = max(bay[0] + half, ends[0]), min(bay[1] - half, ends[1])
        if high >= low:
            free.append(min(max((bay[0] + bay[1]) / 2, low), high))
    if not free:
        return ()
    longest = bored.longest + _HAIR
    taken = [free[0]]
    for at, following in pairwise([*free[1:], free[-1]]):
        # The last that a piece reaches, and the next where it reaches none.
        if at == free[-1] or abs(following - taken[-1]) > longest:
            taken.append(at)
    return tuple(taken)


def _fold(wall: FramedWall, point: Vector) -> Vector:
    """A point of the wall laid flat as it lies round the wall's corners; one that is at a corner
    lies where the two walls' lines of holes meet.

    Source: docs/pieces-and-walls.md, framed walls.
    """
    x, y, z = point
    origin, ahead, begins = (0.0, 0.0), (1.0, 0.0), 0.0
    for corner in sorted(wall.corners, key=lambda corner: corner.at):
        if x < corner.at:
            break
        origin = _on(origin, ahead, corner.at - begins)
        before, ahead = ahead, _turned(ahead, corner)
        begins = corner.at
        if x == corner.at:
            further = -y if corner.inside else y
            return (*_on(_on(origin, before, further), ahead, -further), z)
    return (*_on(_on(origin, ahead, x - begins), (-ahead[1], ahead[0]), y), z)


_Flat = tuple[float, float]


def _on(point: _Flat, way: _Flat, far: float) -> _Flat:
    return point[0] + way[0] * far, point[1] + way[1] * far


def _turned(way: _Flat, corner: WallCorner) -> _Flat:
    return (-way[1], way[0]) if corner.inside else (way[1], -way[0])
