"""What every verb takes and gives."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, Literal

from yarrow.catalog.rulebooks import wording_of
from yarrow.wording.wording import Language, Wording

Document = Mapping[str, Any]
"""One of the open formats, as JSON gives it."""

Answer = dict[str, Any]
"""Plain JSON."""

Units = Literal["in", "mm"]


def wording_for(document: Document, language: Language | None) -> Wording:
    """The words that an answer is told in.

    Args:
        document: that is answered.
        language: that is asked for; None: the one spoken where its units are usual.
    """
    return wording_of(language, document.get("units"))
