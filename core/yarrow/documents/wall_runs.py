"""The runs of a framed wall as documents, and what of one stays when the wall changes."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from yarrow.documents.wall_laying import lay_wall, run_of_route

_OF_THE_WALL = ("format", "name", "units", "conduit", "bender", "start", "path")
_OF_ITS_BENDS = ("order", "stances", "done")
"""What goes by the numbers of its bends, or by pieces that were made: void on another path."""


def runs_of_wall(document: object) -> dict[str, dict[str, Any]]:
    """Every feed of a wall as a ``yarrow.run/1``, by its key.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError.
    """
    laid = lay_wall(document)
    return {way.feed.key: run_of_route(laid, way) for way in laid.routes}


def merge_generated_run(run: Mapping[str, Any], made: Mapping[str, Any]) -> dict[str, Any]:
    """A wall's run as somebody worked on it, with what the wall now says: its way, its joints, its
    conduit, its bender and what is drawn in. What was said of it beside that stays.

    Args: run, as it is kept; made, as the wall makes it.
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
