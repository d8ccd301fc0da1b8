"""One line of the table: what was measured, what was promised, and whether that was kept."""

from __future__ import annotations

from dataclasses import dataclass

from benchmarks.unit import InUnits


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


def at_least(what: str, value: float, limit: float, unit: str) -> Row:
    """A row that is kept where the value is no less than the limit."""
    return Row(what, f"{value:.1f} {unit}", f"at least {limit:g} {unit}", value >= limit)


def within(what: str, taken: InUnits, limit: float) -> Row:
    """A row that is kept where a call takes no more than so many of the unit's loops."""
    measured = f"{taken.ms:.2f} ms, {taken.units:.1f} units"
    return Row(what, measured, f"at most {limit:g} units", taken.units <= limit)
