"""A bender of one's own, known better."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.documents.bender.reading import with_bends
from yarrow.door.shared import Answer


def learn(document: Answer, bends: Sequence[Answer]) -> Answer:
    """A bender with more bends that were measured on it; one that is ``of`` a bend that it has
    stands in its place.

    Args:
        document: ``yarrow.bender/1``.
        bends: as its ``tests``, lengths with their unit.

    Returns:
        The new document.

    Raises:
        DocumentError, where no bender could have made them.
    """
    return with_bends(document, bends)
