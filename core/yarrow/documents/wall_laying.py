"""Laying ``yarrow.wall/1`` out: the ways of its feeds, and each as a run before it is planned."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any

from yarrow.benders.bender import Bender
from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.reading import toml
from yarrow.documents.errors import DocumentError
from yarrow.documents.run_file import read_run
from yarrow.documents.wall_reading import read_shape, read_wall
from yarrow.fill.conductor import Conductor
from yarrow.findings.finding import Finding
from yarrow.geometry.vectors import Vector, along, subtract, unit
from yarrow.measure.rounding import STEPS, USUAL_STEP
from yarrow.measure.units import convert_length
from yarrow.pieces.places import reach_of
from yarrow.runs.layout.walk import pipe_of
from yarrow.runs.model.run import RunSetup
from yarrow.walls.checks import knockout_findings, wall_findings, without_a_knockout
from yarrow.walls.choosing import chosen_ways
from yarrow.walls.knockouts import KnockoutExits
from yarrow.walls.route_checks import route_findings
from yarrow.walls.routes import BenderRoom, Route
from yarrow.walls.wall import Feed, FramedWall
from yarrow.wording.lengths import LengthFormatter

_KICK = 0.2
"""Tangent of half of a kick's angle that room is left for: a kick is gentler than 22 degrees."""


Bent = str | dict[str, Any]
"""A bender as a document says it: one of the catalogue by its name, or one's own numbers."""


@dataclass(frozen=True, slots=True)
class LaidWall:
    """A wall with the ways of its feeds, before a pipe is planned: its bender as it was said, how
    far a connector takes pipe in beyond its face, what is drawn into its feeds, the knockouts that
    they leave by, and what is wrong so far."""

    wall: FramedWall
    bender: Bent
    taken_in: float
    words: LengthFormatter
    wires: Mapping[int, tuple[Conductor, ...]]
    knockouts: KnockoutExits
    routes: tuple[Route, ...]
    findings: tuple[Finding, ...]


@dataclass(frozen=True, slots=True)
class ReadWall:
    """A wall as its document says it, before a feed has a way: its bender as it was said and as it
    is, and what is drawn into its feeds by their numbers."""

    wall: FramedWall
    said_bender: Bent
    setup: RunSetup
    wires: Mapping[int, tuple[Conductor, ...]]


def read_framed_wall(document: object) -> ReadWall:
    """A framed wall as it is written, with all that it names looked up.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError, as wall_document.
    """
    shape = read_shape(document)
    bender = bender_of_wall(document)
    wall = read_wall(shape)
    setup = read_run(_run_of(wall, bender, "", _ANY, ())).setup
    fed = [feed for feed in wall.feeds if feed.start.place != feed.end.place]
    wires = {feed.number: _wires_of(wall, feed) for feed in fed if feed.wires.strip()}
    return ReadWall(wall, bender, setup, wires)


def lay_wall(document: object) -> LaidWall:
    """A framed wall with the way of every feed.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError, as wall_document.
    """
    read = read_framed_wall(document)
    wall, setup = read.wall, read.setup
    words = LengthFormatter(wall.unit, STEPS[wall.unit][USUAL_STEP[wall.unit]])
    chosen = chosen_ways(wall, _bender_room(wall, setup.bender), words)
    found = (
        *wall_findings(wall, words),
        *knockout_findings(wall, chosen.knockouts, words),
        *without_a_knockout(wall, chosen.without),
        *route_findings(wall, chosen.routes, words),
    )
    return LaidWall(
        wall,
        read.said_bender,
        -pipe_of(setup, None).begins,
        words,
        read.wires,
        chosen.knockouts,
        chosen.routes,
        found,
    )


def bender_of_wall(document: object) -> Bent:
    """The bender of a wall, as its document has it.

    Args: document, ``yarrow.wall/1`` that could be read.
    """
    assert isinstance(document, dict)
    bent: Bent = document["bender"]
    return bent


_ANY: tuple[Vector, ...] = ((0.0, 0.0, 0.0), (100.0, 0.0, 0.0))


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


def _wires_of(wall: FramedWall, feed: Feed) -> tuple[Conductor, ...]:
    """What is drawn into a feed. Raises: DocumentError, where that can't be read."""
    run = {
        "format": "yarrow.run/1",
        "units": wall.unit,
        "conduit": {"type": wall.conduit.type, "size": wall.conduit.size},
        "bender": {"kind": "hand", "radius": 100, "take_up": 150},
        "wires": {"typed": feed.wires},
        "path": [list(point) for point in _ANY],
    }
    try:
        wires = read_run(run).setup.wires
    except DocumentError as refusal:
        raise DocumentError(f"feeds[{feed.number}].wires", refusal.expected) from None
    return wires.conductors if wires else ()


def _run_of(
    wall: FramedWall,
    bender: Bent,
    name: str,
    vertices: Sequence[Vector],
    joints: Sequence[dict[str, Any]],
    wires: str = "",
) -> dict[str, Any]:
    """A feed as a run of its own, by its corners as they lie from its first one."""
    first = vertices[0]
    return {
        "format": "yarrow.run/1",
        "name": name,
        "units": wall.unit,
        "conduit": {"type": wall.conduit.type, "size": wall.conduit.size},
        "bender": bender,
        "start": {"kind": "connector"},
        "path": [[round(value, 6) for value in subtract(v, first)] for v in vertices],
        **({"joints": {"places": list(joints)}} if joints else {}),
        **({"wires": {"typed": wires}} if wires.strip() else {}),
    }


def run_of_route(laid: LaidWall, way: Route) -> dict[str, Any]:
    """A feed as a ``yarrow.run/1``.

    Args: laid, its wall; way, its own.
    """
    feed = way.feed
    name = f"{laid.wall.name_of(feed.start)} to {laid.wall.name_of(feed.end)}"
    joints = [{"leg": each.leg, "at": round(each.at, 6), "from": "centre"} for each in way.joints]
    pipe = _whole_pipe(laid, way)
    return _run_of(laid.wall, laid.bender, name, pipe, joints, feed.wires)


def _whole_pipe(laid: LaidWall, way: Route) -> tuple[Vector, ...]:
    """A route's vertices, with what goes beyond the face of a connector at its ends."""
    first, *inner, last = way.folded
    if laid.wall.box_of(way.feed.start):
        first = along(first, unit(subtract(first, way.folded[1])), laid.taken_in)
    if laid.wall.box_of(way.feed.end):
        last = along(last, unit(subtract(last, way.folded[-2])), laid.taken_in)
    return (first, *inner, last)
