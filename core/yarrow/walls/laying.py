"""A framed wall laid out: the ways of its feeds, before a pipe is planned."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from fractions import Fraction

from yarrow.benders.bender import Bender
from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.reading import toml
from yarrow.fill.conductor import Conductor
from yarrow.findings.finding import Finding
from yarrow.geometry.vectors import Vector, along, subtract, unit
from yarrow.measure.units import convert, convert_length
from yarrow.pieces.places import reach_of
from yarrow.runs.layout.walk import pipe_of
from yarrow.runs.model.run import JointPlace, Joints, RunSetup, Survey
from yarrow.runs.model.wires import Wires
from yarrow.values import dataclass, replace
from yarrow.walls.checks import knockout_findings, wall_findings, without_a_knockout
from yarrow.walls.choosing import chosen_ways
from yarrow.walls.knockouts import KnockoutExits
from yarrow.walls.route_checks import route_findings
from yarrow.walls.routes import BenderRoom, Route
from yarrow.walls.wall import FramedWall

_KICK = 0.2
"""Tangent of half of a kick's angle that room is left for: a kick is gentler than 22 degrees."""

PLACES = 6
"""Of a corner or a joint of a feed: finer than any tape, and the same wherever it is read again."""


@dataclass(frozen=True, slots=True)
class WallToLay:
    """A wall as it was told, before a feed has a way: the ``setup`` that all of its feeds' runs
    have, from a connector on, and the text that it is ``known_by``; what is drawn into each feed
    that somebody said it of, by the feed's number."""

    wall: FramedWall
    setup: RunSetup
    known_by: str
    wires: Mapping[int, Wires]

    @property
    def conductors(self) -> dict[int, tuple[Conductor, ...]]:
        """What is drawn into those feeds."""
        return {number: wires.conductors for number, wires in self.wires.items()}


@dataclass(frozen=True, slots=True)
class LaidWall:
    """A wall with the ways of its feeds, before a pipe is planned: the knockouts that they leave
    by, and what is wrong so far."""

    to_lay: WallToLay
    knockouts: KnockoutExits
    routes: tuple[Route, ...]
    findings: tuple[Finding, ...]

    @property
    def wall(self) -> FramedWall:
        """The wall itself."""
        return self.to_lay.wall


def lay_wall(to_lay: WallToLay) -> LaidWall:
    """A framed wall with the way of every feed.

    Args:
        to_lay: the wall as it was read.

    Source:
        docs/pieces-and-walls.md, framed walls.
    """
    wall = to_lay.wall
    chosen = chosen_ways(wall, _bender_room(wall, to_lay.setup.bender))
    findings = (
        *wall_findings(wall),
        *knockout_findings(wall, chosen.knockouts),
        *without_a_knockout(wall, chosen.without),
        *route_findings(wall, chosen.routes),
    )
    return LaidWall(to_lay, chosen.knockouts, chosen.routes, findings)


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


def survey_of_feed(laid: LaidWall, way: Route, path: Sequence[Vector]) -> Survey:
    """A feed as a run of its own, without a name.

    Args:
        laid: its wall.
        way: its own.
        path: the corners of its pipe, in the wall's unit, as path_of_feed answers them.
    """
    to_lay, feed = laid.to_lay, way.feed
    conduit = to_lay.wall.conduit
    joints = None
    if way.joints:
        stick = convert(conduit.stick, conduit.unit, to_lay.wall.unit)
        places = tuple(
            JointPlace(joint.leg - 1, _exact(joint.at), "centre", "middle") for joint in way.joints
        )
        joints = Joints(usual_coupling(conduit), stick, places)
    setup = replace(
        to_lay.setup,
        path=tuple((_exact(x), _exact(y), _exact(z)) for x, y, z in path),
        joints=joints,
        wires=to_lay.wires.get(feed.number),
    )
    return Survey(setup, ())


def path_of_feed(laid: LaidWall, way: Route) -> tuple[Vector, ...]:
    """The corners of a feed's pipe as they lie from its first one, with what goes beyond the face
    of a connector at its ends.

    Args:
        laid: its wall.
        way: its own.

    Returns:
        Corners in the frame of a run, in the wall's unit.
    """
    first, *inner, last = way.folded
    taken_in = -pipe_of(laid.to_lay.setup, None).begins
    if laid.wall.box_of(way.feed.start):
        first = along(first, unit(subtract(first, way.folded[1])), taken_in)
    if laid.wall.box_of(way.feed.end):
        last = along(last, unit(subtract(last, way.folded[-2])), taken_in)
    corners = ((x, y, z) for x, y, z in (subtract(v, first) for v in (first, *inner, last)))
    return tuple((round(x, PLACES), round(y, PLACES), round(z, PLACES)) for x, y, z in corners)


def _exact(value: float) -> Fraction:
    """A length as it is written, to so many places."""
    return Fraction(round(value * 10**PLACES), 10**PLACES)
