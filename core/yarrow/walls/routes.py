"""The way of a feed through a wall: from one box's knockout by a kick to the line of holes, along
it, and down to the other's; and where its pieces are joined, clear of studs."""

from __future__ import annotations

import math
from dataclasses import dataclass

from yarrow.geometry.vectors import Vector
from yarrow.walls.sliding import slid_on
from yarrow.walls.wall import Feed, FramedWall, HoleLine, WallBox

_HAIR = 1e-6


@dataclass(frozen=True, slots=True)
class BenderRoom:
    """What a bender leaves of straight: ``end`` from a pipe's end to a kick's vertex, ``beside`` a
    90's vertex to where a coupling may be."""

    end: float
    beside: float


@dataclass(frozen=True, slots=True)
class Route:
    """A feed's centreline, its vertices with both ends (x along the wall, y toward the room, z
    up); the leg that runs along the holes, counted from 1; how far its joints lie along that leg;
    the studs that it goes through, by their numbers from 0. ``kick`` are the angles of the kicks
    at both boxes, degrees."""

    feed: Feed
    vertices: tuple[Vector, ...]
    leg: int
    joints: tuple[float, ...]
    studs: tuple[int, ...]
    kicks: tuple[float, float]


def rise_to_line(box: WallBox, line: HoleLine) -> float:
    """From a box's knockout to a line of holes, above it (or below, where that is where it is).

    Args:
        box: that is fed.
        line: of holes; the answer is below zero where it runs past the box.
    """
    return max(line.height - box.top, box.bottom - line.height)


def route(wall: FramedWall, feed: Feed, room: BenderRoom) -> Route:
    """The way of one feed, where its line runs above or below both of its boxes.

    Args:
        wall: with its boxes and lines.
        feed: of it.
        room: that the bender leaves, in the wall's unit.
    Source:
        docs/geometry.md, framed walls.
    """
    line = wall.lines[feed.line]
    start, end = wall.boxes[feed.start], wall.boxes[feed.end]
    begins, ends = wall.knockout_at(feed.start, feed), wall.knockout_at(feed.end, feed)
    first, kick_at_start = _from_box(start, begins, line, room)
    last, kick_at_end = _from_box(end, ends, line, room)
    vertices = (*first, *reversed(last))
    studs = wall.studs.between(begins, ends)
    if begins > ends:
        studs = tuple(reversed(studs))
    joints = _joints(wall, line, begins, ends, studs, room)
    return Route(feed, vertices, len(first), joints, studs, (kick_at_start, kick_at_end))


def _from_box(
    box: WallBox, x: float, line: HoleLine, room: BenderRoom
) -> tuple[list[Vector], float]:
    """From a knockout to the corner on the line of holes: straight out of the box as far as the
    bender wants, then leaning to the holes' depth; the angle of that, degrees."""
    y = -box.knockout_depth
    up = 1.0 if line.height > box.top else -1.0
    face = box.top if up > 0 else box.bottom
    deep = -line.setback
    corner = (x, deep, line.height)
    aside = abs(deep - y)
    height = abs(line.height - face)
    if aside <= _HAIR or height <= room.end + _HAIR:
        return [(x, y, face), corner], 0.0
    kick = (x, y, face + up * room.end)
    angle = math.degrees(math.atan2(aside, height - room.end))
    return [(x, y, face), kick, corner], angle


def _joints(
    wall: FramedWall,
    line: HoleLine,
    begins: float,
    ends: float,
    studs: tuple[int, ...],
    room: BenderRoom,
) -> tuple[float, ...]:
    """How far along the holes its joints lie: in the middle of bays, each piece between two of them
    as long as can be slid in; none where the pipe goes through no stud."""
    if not studs:
        return ()
    way = 1.0 if ends > begins else -1.0
    middles = []
    for stud in studs:
        beyond = wall.studs.middles[stud] + way * wall.studs.width
        low, high = wall.studs.bay(beyond)
        # The last bay is the box's own: there it ends.
        if low <= ends <= high:
            continue
        middles.append(abs((low + high) / 2 - begins))
    length = abs(ends - begins)
    free = [at for at in middles if room.beside <= at <= length - room.beside]
    if not free:
        return ()
    most = slid_on(wall, line)
    taken = [free[0]]
    while taken[-1] < free[-1]:
        following = [at for at in free if at > taken[-1]]
        slid = [at for at in following if at - taken[-1] <= most + _HAIR]
        taken.append(slid[-1] if slid else following[0])
    return tuple(taken)
