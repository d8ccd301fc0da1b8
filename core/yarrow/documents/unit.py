"""The unit of a document."""

from __future__ import annotations

from typing import cast

from yarrow.documents.errors import DocumentError
from yarrow.measure.units import Unit


def read_unit(document: object) -> Unit:
    """The unit of a document, which every other reading needs first.

    Args:
        document: as JSON gives it.

    Raises:
        DocumentError.
    """
    if not isinstance(document, dict):
        raise DocumentError("", "a JSON object")
    unit = document.get("units")
    if unit not in ("in", "mm") or not isinstance(unit, str):
        raise DocumentError("units", "one of in, mm")
    return cast(Unit, unit)
