"""A framed wall planned, its runs as documents, and what of one stays when the wall changes."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from yarrow.documents.wall.reading import ReadWall, read_framed_wall
from yarrow.walls.laying import PLACES, LaidWall, lay_wall, path_of_feed
from yarrow.walls.plan_wall import plan_wall
from yarrow.walls.routes import Route
from yarrow.walls.wall_plan import WallPlan

_OF_THE_WALL = ("format", "name", "units", "conduit", "bender", "start", "path")
_OF_ITS_BENDS = ("order", "stances", "done")
"""What goes by the numbers of its bends, or by pieces that were made: void on another path."""


def plan_wall_document(document: object) -> WallPlan:
    """A framed wall with its runs, its holes and its lists.

    Args:
        document: ``yarrow.wall/1``.

    Returns:
        ``yarrow.wall-plan/1``.

    Raises:
        DocumentError; also for a stud, a box or a line that is not there.
    """
    read = read_framed_wall(document)
    laid = lay_wall(read.to_lay)
    return plan_wall(laid, [_run_of_feed(read, laid, way) for way in laid.routes])


def runs_of_wall(document: object) -> dict[str, dict[str, Any]]:
    """Every feed of a wall as a ``yarrow.run/1``, by its key.

    Args:
        document: ``yarrow.wall/1``.

    Returns:
        In the order of the wall's feeds.

    Raises:
        DocumentError.
    """
    read = read_framed_wall(document)
    laid = lay_wall(read.to_lay)
    return {way.feed.key: _run_of_feed(read, laid, way) for way in laid.routes}


def _run_of_feed(read: ReadWall, laid: LaidWall, way: Route) -> dict[str, Any]:
    """A feed as a run of its own; read again it is what the wall plans of it."""
    wall, feed = laid.wall, way.feed
    joints = [
        {"leg": joint.leg, "at": round(joint.at, PLACES), "from": "centre"} for joint in way.joints
    ]
    return {
        "format": "yarrow.run/1",
        "name": f"{wall.name_of(feed.start)} to {wall.name_of(feed.end)}",
        "units": wall.unit,
        "conduit": {"type": wall.conduit.type, "size": wall.conduit.size},
        "bender": read.said_bender,
        "start": {"kind": "connector"},
        "path": [list(corner) for corner in path_of_feed(laid, way)],
        **({"joints": {"places": joints}} if joints else {}),
        **({"wires": {"typed": feed.wires}} if feed.wires.strip() else {}),
    }


def merge_generated_run(run: Mapping[str, Any], made: Mapping[str, Any]) -> dict[str, Any]:
    """A wall's run as somebody worked on it, with what the wall now says: its way, its joints, its
    conduit, its bender and what is drawn in. What was said of it beside that stays.

    Args:
        run: as it is kept.
        made: as the wall makes it.

    Returns:
        ``yarrow.run/1``.
    """
    kept = {**run, **{field: made[field] for field in _OF_THE_WALL}}
    if run.get("path") != made["path"]:
        for field in _OF_ITS_BENDS:
            kept.pop(field, None)
    kept.pop("walk", None)
    joints = {**run.get("joints", {}), **made.get("joints", {})}
    if "places" not in made.get("joints", {}):
        joints.pop("places", None)
    wires = {**run.get("wires", {}), **made.get("wires", {})}
    for field, value in (("joints", joints), ("wires", wires)):
        kept.pop(field, None)
        if value:
            kept[field] = value
    return kept
