"""What is known: the catalogue, the schemas."""

from __future__ import annotations

from yarrow.documents.catalogue import catalogue
from yarrow.documents.schema import SCHEMAS
from yarrow.documents.schema import schema as _schema
from yarrow.documents.writing import plain
from yarrow.door.shared import Answer


def catalog() -> Answer:
    """All that a document can name: conduits, benders, fittings, conductors, boxes, trunking.

    Returns:
        Each list with the source of its figures; lengths in the unit that each names.
    """
    return plain(catalogue())


def schema(of: str) -> Answer:
    """The JSON Schema (draft 2020-12) of a format, as documents are read by it.

    Args:
        of: the format's name without its version: one of ``SCHEMAS``.

    Returns:
        The whole of it, with its ``$defs``.

    Raises:
        KeyError, for a name that is none.
    """
    if of not in SCHEMAS:
        raise KeyError(of)
    return dict(_schema(of))
