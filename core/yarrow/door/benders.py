"""A bender and fittings of one's own."""

from __future__ import annotations

from collections.abc import Sequence

from yarrow.documents.bender_file import bender_numbers, with_bends
from yarrow.documents.fittings_file import read_fittings
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer, Document


def bender(document: Document) -> Answer:
    """The numbers of a bender of one's own, worked from its test bends where there are any.

    Args: document, ``yarrow.bender/1``.
    Returns: its numbers with how well each is known, lengths in the document's units.
    Raises: DocumentError.
    """
    return plain(bender_numbers(document))


def learn(document: Answer, bends: Sequence[Answer]) -> Answer:
    """A bender with more bends that were measured on it; one that is ``of`` a bend that it has
    stands in its place.

    Args: document, ``yarrow.bender/1``; bends, as its ``tests``, lengths with their unit.
    Returns: the new document.
    Raises: DocumentError, where no bender could have made them.
    """
    return with_bends(document, bends)


def read_own_fittings(document: object) -> None:
    """Whether a crew's own fittings can be read.

    Args: document, ``yarrow.fittings/1``.
    Raises: DocumentError.
    """
    read_fittings(document)
