"""One line of the table: what was measured, what was promised, and whether that was kept."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Row:
    """A measurement. ``kept`` is None where nothing was promised and the number is for reading."""

    what: str
    measured: str
    promised: str = ""
    kept: bool | None = None


def at_most(what: str, value: float, limit: float, unit: str) -> Row:
    """A row that is kept where the value is no more than the limit."""
    return Row(what, f"{value:.2f} {unit}", f"at most {limit:g} {unit}", value <= limit)
