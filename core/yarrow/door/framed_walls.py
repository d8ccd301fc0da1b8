"""Framed walls and the runs that they make."""

from __future__ import annotations

from yarrow.documents.wall_file import wall_document
from yarrow.documents.wall_laying import read_framed_wall as _read_framed_wall
from yarrow.documents.wall_runs import brought_up_to_date
from yarrow.documents.wall_runs import runs_of_wall as runs_of_each_feed
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Document, wording_for
from yarrow.walls.wall_plan import WallPlan
from yarrow.wording.wording import Country


def read_framed_wall(document: object) -> None:
    """Whether a framed wall can be read.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError.
    """
    _read_framed_wall(document)


def wall(document: Document, country: Country | None = None) -> Answer:
    """A framed wall: its boxes and holes, a run for every feed with its pieces, and what is wrong
    before anything is bored.

    Args: document, ``yarrow.wall/1``.
    Returns: ``yarrow.wall-plan/1``, lengths in the document's units.
    Raises: DocumentError.
    Source: docs/geometry.md, framed walls.
    """
    return plain(wall_document(document), wording_for(document, country))


def wall_values(document: Document) -> WallPlan:
    """The same as frozen values, for who draws it.

    Args: document, ``yarrow.wall/1``.
    Raises: DocumentError.
    """
    return wall_document(document)


def runs_of_wall(document: Document) -> dict[str, Answer]:
    """Every feed of a framed wall as a run of its own, by the feed's key.

    Args: document, ``yarrow.wall/1``.
    Returns: ``yarrow.run/1`` each.
    Raises: DocumentError.
    """
    return runs_of_each_feed(document)


def run_of_wall(run: Document, made: Document) -> Answer:
    """A run of a wall as somebody worked on it, with what the wall now says of it.

    Args: run, ``yarrow.run/1``; made, the same feed's of runs_of_wall.
    """
    return brought_up_to_date(run, made)
