"""The runs that framed walls make."""

from __future__ import annotations

from yarrow.documents.wall.runs import merge_generated_run
from yarrow.documents.wall.runs import runs_of_wall as runs_of_each_feed
from yarrow.door.shared import Answer, Document


def runs_of_wall(document: Document) -> dict[str, Answer]:
    """Every feed of a framed wall as a run of its own, by the feed's key.

    Args:
        document: ``yarrow.wall/1``.

    Returns:
        ``yarrow.run/1`` each.

    Raises:
        DocumentError.
    """
    return runs_of_each_feed(document)


def merge_wall_run(run: Document, made: Document) -> Answer:
    """A run of a wall as somebody worked on it, with what the wall now says of it.

    Args:
        run: ``yarrow.run/1``.
        made: the same feed's of runs_of_wall.

    Returns:
        ``yarrow.run/1``.
    """
    return merge_generated_run(run, made)
