"""What every verb takes and gives."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, Literal

from yarrow.wording.wording import Country, Wording, wording_of

Document = Mapping[str, Any]
"""One of the open formats, as JSON gives it."""

Answer = dict[str, Any]
"""Plain JSON."""

Units = Literal["in", "mm"]


def wording_for(document: Document, country: Country | None) -> Wording:
    """The words that an answer is told in.

    Args:
        document: that is answered.
        country: whose words are asked for; None: those of its units.
    """
    return wording_of(country, document.get("units"))
